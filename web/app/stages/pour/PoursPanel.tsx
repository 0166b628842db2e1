/** What is cast together, and what each pour takes. */
import { Box, Flex } from '@chakra-ui/react';
import type { Takeoff } from '@cimiento/core';
import { ArrowDown, ArrowUp, Link2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useJobId } from '../../state/jobId.ts';
import { useLog } from '../../state/records.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { castName, pourName } from '../../ui/pourName.ts';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { ranges } from '../../ui/ranges.ts';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Fact, Panel, Toggle } from '../fields.tsx';
import { WaitsToBeSeen } from '../WaitsToBeSeen.tsx';
import { castEarlier, joinPours, movePour } from './pours.ts';

export function PoursPanel() {
  const { t } = useTranslation();
  const jobId = useJobId();
  const { pours } = useTakeoff();
  return (
    <Panel title={t('pours.title')} aside={String(pours.length)}>
      {pours.length === 0 && <Small fontSize="sm">{t('pours.none')}</Small>}
      <Box as="ol" listStyleType="none">
        {pours.map((pour, at) => (
          <li key={pour.id}>
            <PourRow pour={pour} at={at} />
          </li>
        ))}
      </Box>
      {pours.length > 0 && (
        <a href={`/jobs/${jobId}/order-sheet.pdf`} target="_blank" rel="noreferrer">
          {t('pour.sheet')}
        </a>
      )}
      <Move />
    </Panel>
  );
}

function PourRow({ pour, at }: { pour: Takeoff['pours'][number]; at: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { pours } = useTakeoff();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const names = plan.elements.filter((e) => pour.elements.includes(e.id)).map((e) => e.name);
  const name = pourName(t, pour);
  const volume = (of: number) => format.text(of, 'volume');
  const own = pour.casts.filter(({ element }) => element === picked);
  const { band, unshot, neat, low, wanted, lastFill } = pour;
  const move = (by: -1 | 1) =>
    store.getState().edit((d) => {
      d.pour.order = castEarlier(pours, at, by);
    });
  return (
    <Box data-pour={pour.id} data-at={at}>
      <Fact
        label={name}
        note={[
          ranges(names),
          `${t('pours.order', { order: volume(pour.ordered) })}, ${pour.mixed ? t('pours.onSite') : t('pour.loads', { count: pour.loads })}`,
          ...(lastFill > 0 && lastFill < 1 - 1e-9
            ? [t('pour.last', { fill: format.text(lastFill, 'percent', { decimals: 0 }) })]
            : []),
          ...(pour.cast ? [t('pours.castNow')] : []),
          ...(pour.used === null ? [] : [t('pours.took', { volume: volume(pour.used) })]),
          ...(!pour.cast && pour.waits.length > 0
            ? [
                t('pours.waits', {
                  names: ranges(plan.elements.flatMap((e) => (pour.waits.includes(e.id) ? [e.name] : []))),
                }),
              ]
            : []),
          ...(low > 0 ? [t('pour.low', { volume: volume(low) })] : []),
          ...(band === null
            ? []
            : [t('pour.band', { least: volume(Math.max(0, wanted - band)), most: volume(wanted + band) })]),
          ...(band !== null && unshot > 0
            ? [t('pour.bandNone', { missing: unshot, of: pour.elements.length })]
            : []),
          ...(pour.casts.length > 1
            ? own.map(
                (one) =>
                  `${castName(t, plan, one, pour.number === null)}: ${t('pour.share', { volume: volume(one.volume) })}`,
              )
            : []),
        ].join(' · ')}
        value={volume(neat)}
      />
      <Flex gap={1} align="start">
        <Box flex="1" minW={0}>
          <Said pour={pour} name={name} />
        </Box>
        {pours.length > 1 && (
          <>
            <Button
              size="sm"
              look="quiet"
              aria-label={t('pour.earlier', { name })}
              title={t('pour.firstHint')}
              disabled={pours[at - 1]?.turn !== pour.turn}
              onClick={() => move(-1)}
            >
              <ArrowUp size={14} aria-hidden />
            </Button>
            <Button
              size="sm"
              look="quiet"
              aria-label={t('pour.later', { name })}
              title={t('pour.firstHint')}
              disabled={pours[at + 1]?.turn !== pour.turn}
              onClick={() => move(1)}
            >
              <ArrowDown size={14} aria-hidden />
            </Button>
            {at < pours.length - 1 && (
              <Button
                size="sm"
                look="quiet"
                aria-label={t('pours.join', { name })}
                title={t('pours.join', { name })}
                onClick={() =>
                  store
                    .getState()
                    .edit((d) =>
                      joinPours(d, pour, pours[at + 1]!, t('pours.name', { n: d.pour.together.length + 1 })),
                    )
                }
              >
                <Link2 size={14} aria-hidden />
              </Button>
            )}
          </>
        )}
      </Flex>
      <WaitsToBeSeen
        of={({ before, element }) =>
          element !== null && pour.elements.includes(element) && before !== 'backfill' && before !== 'pumpOff'
        }
      />
    </Box>
  );
}

const NOTHING = { mix: '', when: '', where: '', to: '', mixed: false };

/** How a pour is ordered, in people's own words. */
function Said({ pour: own, name }: { pour: Takeoff['pours'][number]; name: string }) {
  const pour = own.id;
  const { t } = useTranslation();
  const store = useDeskStore();
  const said = useDesk((desk) => desk.plan.pour.orders.find(({ id }) => id === pour)) ?? NOTHING;
  return (
    <details>
      <Box as="summary" cursor="pointer" fontSize="sm">
        {[t('pour.said'), said.mix, said.when].filter(Boolean).join(' · ')}
      </Box>
      <Toggle
        label={t('pours.mixed')}
        on={said.mixed}
        onChange={(on) =>
          store.getState().edit((d) => {
            const own = d.pour.orders.find(({ id }) => id === pour);
            if (own) own.mixed = on;
            else d.pour.orders.push({ id: pour, ...NOTHING, mixed: on });
          })
        }
      />
      {(['mix', 'when', 'where', 'to'] as const).map((field) => (
        <TextField
          key={field}
          label={`${t(`pour.${field}`)}, ${name}`}
          value={said[field]}
          maxLength={field === 'mix' ? 80 : field === 'when' ? 40 : 120}
          onChange={(event) =>
            store.getState().edit((d) => {
              const own = d.pour.orders.find(({ id }) => id === pour);
              if (own) own[field] = event.target.value;
              else d.pour.orders.push({ id: pour, ...NOTHING, [field]: event.target.value });
            }, `order:${pour}:${field}`)
          }
        />
      ))}
      {!own.cast && <LogCast pour={own} />}
    </details>
  );
}

/** Says that a pour was cast, and what it took where that was measured. */
function LogCast({ pour: { id, casts } }: { pour: Takeoff['pours'][number] }) {
  const { t } = useTranslation();
  const log = useLog();
  const [volume, setVolume] = useState<number | null>(null);
  return (
    <>
      <QuantityField
        label={t('pours.used')}
        range="pouredVolume"
        value={volume}
        onCommit={setVolume}
        optional
      />
      <Button
        size="sm"
        onClick={() => log('poured', { pour: id, casts: casts.map(({ key }) => key), volume, note: '' })}
      >
        {t('pours.log')}
      </Button>
    </>
  );
}

/** With what the thing picked is cast. */
function Move() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const picked = useDesk((desk) => desk.picked);
  const plan = useDesk((desk) => desk.plan);
  const element = plan.elements.find((e) => e.id === picked);
  const { together } = plan.pour;
  if (!element) return null;
  const now = together.find((pour) => pour.elements.includes(element.id));
  return (
    <Choice
      label={t('pours.move', { name: element.name })}
      value={now?.id ?? ''}
      options={[
        { value: '', label: t('pours.own') },
        ...together.map((pour) => ({ value: pour.id, label: pour.name })),
        { value: 'new', label: t('pours.new') },
      ]}
      onChange={(to) =>
        store
          .getState()
          .edit((d) => movePour(d, element.id, to, t('pours.name', { n: d.pour.together.length + 1 })))
      }
    />
  );
}
