/** What is in the way or can fall in: services, neighbours' footings, crests, trees, rock, water. */
import { Box, Flex } from '@chakra-ui/react';
import { HAZARD_KINDS, HAZARDS, type Hazard, type HazardKind } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { memo } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Select, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Panel, PlanField, Toggle } from '../fields.tsx';
import { OnPurpose } from '../OnPurpose.tsx';
import { CrossingFields } from './CrossingFields.tsx';
import { newHazardId } from './placing.ts';

export const HazardsPanel = memo(function HazardsPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const hazards = useDesk((desk) => desk.plan.ground.hazards);
  const picked = useDesk((desk) => desk.view.hazard);
  const { clashes } = useTakeoff();
  const index = hazards.findIndex((hazard) => hazard.id === picked);
  const add = (kind: HazardKind) => {
    const { edit, look, plan } = store.getState();
    const id = newHazardId(store);
    const [x, y] = plan.ground.logs[0]?.at ?? [0, 0];
    const { line, keepOff, depth, projection } = HAZARDS[kind];
    edit((d) => {
      d.ground.hazards.push({
        id,
        name: t(`hazard.kind.${kind}`),
        kind,
        points: line
          ? [
              [x, y - 4],
              [x, y + 4],
            ]
          : [[x, y]],
        keepOff,
        depth,
        level: null,
        projection,
        crossing: null,
      });
    });
    look({ hazard: id });
  };
  return (
    <Panel fold="open" title={t('hazard.title')} aside={t('hazard.count', { count: hazards.length })}>
      {hazards.length > 0 && (
        <Box as="ul" borderWidth="1px" borderStyle="solid" borderColor="rule">
          {hazards.map((hazard) => {
            const near = clashes.some((clash) => clash.hazard === hazard.id);
            return (
              <li key={hazard.id}>
                <Button
                  look="quiet"
                  w="full"
                  justifyContent="space-between"
                  borderRadius={0}
                  aria-pressed={hazard.id === picked}
                  bg={hazard.id === picked ? 'chalkWash' : 'transparent'}
                  onClick={() => store.getState().look({ hazard: hazard.id === picked ? null : hazard.id })}
                >
                  <Box as="span" overflow="hidden" textOverflow="ellipsis">
                    {hazard.name}
                  </Box>
                  <Box as="span" fontSize="xs" color={near ? 'held' : 'soft'} fontWeight={near ? 600 : 400}>
                    {near ? t('hazard.tooNear') : t('hazard.clear')}
                  </Box>
                </Button>
              </li>
            );
          })}
        </Box>
      )}
      {index >= 0 && <Picked hazard={hazards[index]!} index={index} />}
      {hazards.length === 0 && <OnPurpose pointer="/ground/hazards">{t('hazard.nothingNear')}</OnPurpose>}
      <Select
        aria-label={t('hazard.add')}
        value=""
        onChange={(event) => event.target.value && add(event.target.value as HazardKind)}
      >
        <option value="">{t('hazard.add')}</option>
        {HAZARD_KINDS.map((kind) => (
          <option key={kind} value={kind}>
            {t(`hazard.kind.${kind}`)}
          </option>
        ))}
      </Select>
    </Panel>
  );
});

function Picked({ hazard, index }: { hazard: Hazard; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const log = useLog();
  const { exposed } = useTakeoff().facts;
  const { edit, look } = store.getState();
  const path = `/ground/hazards/${index}`;
  return (
    <Flex direction="column" gap={1.5} borderLeftWidth="3px" borderStyle="solid" borderColor="held" pl={2}>
      <Flex gap={1.5} align="end">
        <Box flex="1">
          <TextField
            label={t('hazard.name')}
            value={hazard.name}
            maxLength={80}
            onChange={(event) => {
              if (event.target.value)
                edit((d) => {
                  d.ground.hazards[index]!.name = event.target.value;
                }, `hazard-name:${hazard.id}`);
            }}
          />
        </Box>
        <Button
          look="quiet"
          aria-label={t('hazard.remove', { name: hazard.name })}
          onClick={() => {
            edit((d) => {
              d.ground.hazards.splice(index, 1);
            });
            look({ hazard: null });
          }}
        >
          <Trash2 size={15} aria-hidden />
        </Button>
      </Flex>
      <Choice
        label={t('hazard.what')}
        value={hazard.kind}
        options={HAZARD_KINDS.map((value) => ({ value, label: t(`hazard.kind.${value}`) }))}
        onChange={(kind) =>
          edit((d) => {
            d.ground.hazards[index]!.kind = kind;
          })
        }
      />
      <PlanField hint={t('hazard.keepOffHint')} path={`${path}/keepOff`} />
      {hazard.kind === 'service' && (
        <>
          <PlanField label={t('hazard.depth')} hint={t('hazard.depthHint')} path={`${path}/depth`} optional />
          <Toggle
            label={t('hazard.confirmed')}
            on={exposed.has(hazard.id)}
            onChange={(bare) => log('exposed', { hazard: hazard.id, bare })}
          />
          <CrossingFields hazard={hazard} index={index} />
        </>
      )}
      {(hazard.kind === 'footing' || hazard.kind === 'stream') && (
        <PlanField
          label={t(hazard.kind === 'footing' ? 'hazard.underside' : 'hazard.flood')}
          path={`${path}/level`}
          optional
        />
      )}
      {hazard.kind === 'footing' && (
        <PlanField
          label={t('hazard.projection')}
          hint={t('hazard.projectionHint')}
          path={`${path}/projection`}
          optional
        />
      )}
      <Clashes hazard={hazard} />
      {hazard.points.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the line
        <Flex key={i} gap={2} align="end">
          <PlanField stacked label={t('setout.east', { n: i + 1 })} path={`${path}/points/${i}/0`} />
          <PlanField stacked label={t('setout.north', { n: i + 1 })} path={`${path}/points/${i}/1`} />
          <Button
            look="quiet"
            px={1}
            aria-label={t('hazard.removePoint', { n: i + 1 })}
            disabled={hazard.points.length === 1}
            onClick={() =>
              edit((d) => {
                d.ground.hazards[index]!.points.splice(i, 1);
              })
            }
          >
            <Trash2 size={14} aria-hidden />
          </Button>
        </Flex>
      ))}
      <Button onClick={() => look({ placing: { what: 'hazard', id: hazard.id } })}>{t('hazard.draw')}</Button>
    </Flex>
  );
}

/** How the dig stands to a hazard, and what a crew can do about it. */
function Clashes({ hazard }: { hazard: Hazard }) {
  const { t } = useTranslation();
  const format = useFormat();
  const elements = useDesk((desk) => desk.plan.elements);
  const { clashes } = useTakeoff();
  const own = clashes.filter((clash) => clash.hazard === hazard.id);
  if (own.length === 0) return <Small>{t('hazard.clearNote')}</Small>;
  return (
    <Box as="ul" fontSize="sm" data-clashes>
      {own.map((clash) => (
        <li key={clash.element + clash.what}>
          {t(`hazard.clash.${clash.what}`, {
            name: elements.find((e) => e.id === clash.element)?.name ?? '',
            distance: format.text(clash.distance, 'length'),
            limit: format.text(
              clash.limit,
              clash.what === 'keepOff' ? 'length' : clash.what === 'cutBack' ? 'size' : 'level',
            ),
            by: format.text(clash.by, clash.what === 'keepOff' ? 'length' : 'size'),
          })}
        </li>
      ))}
    </Box>
  );
}
