/** The other school: a slab on a drained bed that frost cannot lift, instead of going below frost. */
import { Box } from '@chakra-ui/react';
import { BOARD, type Takeoff } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { shallowToSlab } from './shallowSlab.ts';

export function ShallowPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const shallow = useDesk((desk) => desk.plan.levels.shallow);
  const { shallow: found, frost } = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel fold="shut" title={t('shallow.title')}>
      <Toggle
        label={t('shallow.try')}
        on={shallow !== null}
        onChange={(on) =>
          edit((d) => {
            d.levels.shallow = on
              ? {
                  length: 8,
                  width: 6,
                  slab: 0.15,
                  edge: 0.4,
                  edgeWidth: 0.4,
                  bed: 'gravel',
                  board: null,
                  outfall: null,
                  fall: 0.01,
                }
              : null;
          })
        }
      />
      {shallow && (
        <>
          {(['length', 'width', 'slab', 'edge', 'edgeWidth'] as const).map((key) => (
            <PlanField key={key} path={`/levels/shallow/${key}`} />
          ))}
          <Choice
            label={t('shallow.bed')}
            value={shallow.bed}
            options={(['gravel', 'sand'] as const).map((value) => ({ value, label: t(`soil.${value}`) }))}
            onChange={(bed) =>
              edit((d) => {
                if (d.levels.shallow) d.levels.shallow.bed = bed;
              })
            }
          />
          <Toggle
            label={t('shallow.board')}
            on={shallow.board !== null}
            onChange={(on) =>
              edit((d) => {
                if (d.levels.shallow)
                  d.levels.shallow.board = on ? { thickness: 0.05, conductivity: BOARD.conductivity } : null;
              })
            }
          />
          {shallow.board && (
            <>
              <PlanField path="/levels/shallow/board/thickness" />
              <PlanField hint="W/mK · EN ISO 10456" path="/levels/shallow/board/conductivity" />
            </>
          )}
          <Toggle
            label={t('shallow.outfall')}
            on={shallow.outfall !== null}
            onChange={(on) =>
              edit((d) => {
                if (d.levels.shallow)
                  d.levels.shallow.outfall = on
                    ? { distance: 15, level: Math.round(((found?.formation ?? 99) - 0.6) * 100) / 100 }
                    : null;
              })
            }
          />
          {shallow.outfall && (
            <>
              <PlanField path="/levels/shallow/outfall/distance" />
              <PlanField path="/levels/shallow/outfall/level" />
              <PlanField path="/levels/shallow/fall" />
            </>
          )}
          {found ? (
            <Found found={found} />
          ) : (
            <Small fontSize="sm">{t(frost.climate ? 'shallow.notYet' : 'shallow.noClimate')}</Small>
          )}
        </>
      )}
    </Panel>
  );
}

/** What it comes to, and the press that makes a slab of it. */
function Found({ found }: { found: NonNullable<Takeoff['shallow']> }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const prices = useDesk((desk) => desk.plan.prices);
  const { figures } = useTakeoff();
  const take = () => {
    let made: string | null = null;
    store.getState().edit((d) => {
      made = shallowToSlab(d, found, {
        floor: t('levels.floorName'),
        slab: t('material.slab'),
        board: t('material.insulation'),
      });
    });
    if (made) store.getState().pick(made);
  };
  return (
    <Box data-shallow>
      <Fact label={t('shallow.frostReach')} value={format.text(found.frost, 'length')} />
      <Fact
        label={t('shallow.bedThickness')}
        note={t('shallow.underEdge', { size: format.text(found.bedUnderEdge, 'size') })}
        value={format.text(found.bed, 'size')}
      />
      <Fact label={t('shallow.formation')} value={format.text(found.formation, 'level')} />
      <Fact
        label={t('shallow.dig')}
        note={t('shallow.instead', { volume: format.text(figures.dig.value, 'volume') })}
        value={format.text(found.dig, 'volume')}
      />
      <Fact label={t('shallow.stone')} value={format.text(found.bedVolume, 'volume')} />
      <Fact
        label={t('shallow.concrete')}
        note={t('shallow.instead', { volume: format.text(figures.concrete.value, 'volume') })}
        value={format.text(found.concrete, 'volume')}
      />
      {found.drain ? (
        <Fact
          label={t('shallow.drain')}
          note={t(found.drain.spare >= 0 ? 'shallow.drains' : 'shallow.noFall', {
            level: format.text(found.drain.arrives, 'level'),
          })}
          value={format.text(Math.abs(found.drain.spare), 'size')}
        />
      ) : (
        <Small fontSize="sm">{t('shallow.noDrain')}</Small>
      )}
      <Button onClick={take}>{t('shallow.take')}</Button>
      {prices.dig === null && <Small>{t('shallow.noPrices')}</Small>}
      <Box
        role="note"
        borderLeftWidth="4px"
        borderStyle="solid"
        borderColor="held"
        bg="heldWash"
        p={2}
        mt={1}
        fontSize="sm"
      >
        {t('shallow.engineer')} {found.heaving && t('shallow.heaving')}
      </Box>
    </Box>
  );
}
