/** The machine: reach, bucket, pace, what it logged; and the hours beside those of another. */
import { Box, Flex } from '@chakra-ui/react';
import {
  cycleOf,
  type Machine,
  machineOf,
  nextName,
  RATES,
  standing,
  truckMatch,
  typicalMachine,
  usualFill,
} from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';
import { NewDay } from './NewDay.tsx';
import { FLEETS } from './TrucksView.tsx';

export function MachinePanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const { work, spoil } = useTakeoff();
  const { edit } = store.getState();
  const machine = machineOf(plan);
  const index = plan.dig.machines.indexOf(machine);
  const truck = plan.spoil.trucks[0];
  const { trip, fleet } = plan.spoil;
  const match =
    truck && truckMatch(machine, usualFill(plan, spoil), truck.body, trip, fleet, truck.sideHeight);
  return (
    <Panel
      fold="shut"
      title={t('machine.title')}
      aside={t('machine.hours', {
        hours: format.text(work.machines[index]?.hours ?? 0, 'hours'),
        name: machine.name,
      })}
    >
      <Choice
        label={t('machine.digs')}
        value={plan.dig.machine}
        options={plan.dig.machines.map((m) => ({ value: m.id, label: m.name }))}
        onChange={(id) =>
          edit((d) => {
            d.dig.machine = id;
          })
        }
      />
      <Box as="table" fontSize="sm" w="full" data-machines>
        <tbody>
          {work.machines.map((entry) => {
            const own = plan.dig.machines.find((m) => m.id === entry.machine);
            return (
              <tr key={entry.machine}>
                <Box as="th" textAlign="left" fontWeight={entry.machine === plan.dig.machine ? 600 : 400}>
                  {own?.name}
                </Box>
                <Box as="td" textAlign="right" fontFamily="figure" fontWeight={600}>
                  {format.text(entry.hours, 'hours')}
                </Box>
                <Box
                  as="td"
                  textAlign="right"
                  fontSize="xs"
                  color={entry.tooDeep.length > 0 ? 'held' : 'soft'}
                >
                  {entry.tooDeep.length > 0
                    ? t('machine.short', { by: format.text(entry.short, 'length') })
                    : t(`machine.${entry.strata[0]?.output.from ?? 'typical'}`)}
                </Box>
              </tr>
            );
          })}
        </tbody>
      </Box>
      {(work.machines[index]?.slowed.length ?? 0) > 0 && (
        <Small>
          {t('machine.slowedBy', {
            what: work.machines[index]!.slowed.map((what) => t(`machine.slow.${what}`)).join(', '),
          })}
        </Small>
      )}
      <Toggle
        label={t('machine.cramped')}
        on={plan.dig.cramped}
        onChange={(on) =>
          edit((d) => {
            d.dig.cramped = on;
          })
        }
      />
      <Fact
        label={t('machine.hand')}
        note={
          work.hand.services > 0.005
            ? t('machine.handServices', {
                trim: format.text(work.hand.trim, 'volume'),
                services: format.text(work.hand.services, 'volume'),
              })
            : t('machine.handTrim', { trim: format.text(work.hand.trim, 'volume') })
        }
        value={format.text(work.hand.hours, 'hours')}
      />
      {match && (
        <>
          <PlanField path="/spoil/trip" />
          <Choice
            label={t('trucks.fleet')}
            value={String(fleet)}
            width="7.2rem"
            options={FLEETS}
            onChange={(next) =>
              edit((d) => {
                d.spoil.fleet = Number(next);
              })
            }
          />
          <Fact
            label={t('machine.match', { name: truck!.name })}
            note={t('machine.matchNote', {
              buckets: match.buckets,
              minutes: format.text(match.loading, 'number', { decimals: 1 }),
            })}
            value={t('machine.trucks', { count: Math.ceil(match.balance - 1e-9) })}
          />
          <Small>
            {t(`machine.waits.${match.waits}`, {
              share: format.text(match.lost, 'percent', { decimals: 0 }),
            })}
          </Small>
          {!match.clears && (
            <Small color="held">
              {t('machine.sideTooHigh', { side: format.text(truck.sideHeight, 'length') })}
            </Small>
          )}
        </>
      )}
      <details>
        <summary style={{ fontSize: '0.875rem', cursor: 'pointer' }}>
          {t('machine.edit', { name: machine.name })}
        </summary>
        <MachineFields machine={machine} index={index} />
      </details>
      <Flex gap={1.5} wrap="wrap">
        {plan.dig.machines.length < 6 &&
          [4, 8, 14, 22].map((mass) => (
            <Button
              key={mass}
              size="sm"
              onClick={() =>
                edit((d) => {
                  const id = nextName(
                    'machine-',
                    d.dig.machines.map((m) => m.id),
                  );
                  d.dig.machines.push(typicalMachine(id, mass) as Machine);
                })
              }
            >
              + {mass} t
            </Button>
          ))}
        {plan.dig.machines.length > 1 && (
          <Button
            size="sm"
            look="held"
            onClick={() =>
              edit((d) => {
                d.dig.machines.splice(index, 1);
                d.dig.machine = d.dig.machines[0]!.id;
              })
            }
          >
            <Trash2 size={14} aria-hidden /> {t('site.remove', { name: machine.name })}
          </Button>
        )}
      </Flex>
    </Panel>
  );
}

function MachineFields({ machine, index }: { machine: Machine; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { edit } = store.getState();
  const path = `/dig/machines/${index}`;
  return (
    <Flex direction="column" gap={1.5} pt={2}>
      <TextField
        label={t('hazard.name')}
        value={machine.name}
        maxLength={80}
        onChange={(event) =>
          event.target.value &&
          edit((d) => {
            d.dig.machines[index]!.name = event.target.value;
          }, `machine-name:${machine.id}`)
        }
      />
      <PlanField label={t('machine.bucket')} path={`${path}/bucket`} />
      <PlanField label={t('machine.width')} path={`${path}/width`} />
      <PlanField path={`${path}/dumpHeight`} />
      <PlanField path={`${path}/cycle`} placeholder={cycleOf(machine)} optional />
      <PlanField
        hint="US Army FM 5-434"
        path={`${path}/efficiency`}
        placeholder={RATES.hoeWorks.likely}
        optional
      />
      <ReachCurve machine={machine} />
      {machine.reach.map((at, i) => (
        <Flex key={at.depth} gap={2}>
          <PlanField stacked path={`${path}/reach/${i}/depth`} />
          <PlanField stacked path={`${path}/reach/${i}/reach`} />
        </Flex>
      ))}
      <Small>{t('machine.logNote')}</Small>
      <LoggedDays machine={machine} />
    </Flex>
  );
}

/** The machine's days as the crew logged them; a day is taken back, not changed. */
function LoggedDays({ machine }: { machine: Machine }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const records = useDesk((desk) => desk.records);
  const days = standing(records).flatMap((record) =>
    record.kind === 'dug' && record.value?.machine === machine.id ? [{ id: record.id, ...record.value }] : [],
  );
  return (
    <>
      {days.map((day, i) => (
        <Flex key={day.id} justify="space-between" align="center" gap={2} data-day>
          <Box as="span" fontSize="sm">
            {t('record.dugValue', {
              machine: day.when || t('machine.dayN', { n: i + 1 }),
              volume: format.text(day.volume, 'volume'),
              hours: format.text(day.hours, 'hours'),
            })}
          </Box>
          <Button
            look="quiet"
            px={1}
            aria-label={t('machine.removeDay', { n: i + 1 })}
            onClick={() => log('dug', null, { corrects: day.id })}
          >
            <Trash2 size={14} aria-hidden />
          </Button>
        </Flex>
      ))}
      <NewDay
        add={t('machine.addDay')}
        what={t('machine.dug')}
        ranges={['dugVolume', 'dugHours']}
        onLogged={(volume, hours) => log('dug', { machine: machine.id, when: '', volume, hours })}
      />
    </>
  );
}

/** Reach against depth, drawn: the machine's side view. */
function ReachCurve({ machine }: { machine: Machine }) {
  const { t } = useTranslation();
  const points = [...machine.reach].sort((p, q) => p.depth - q.depth);
  const far = Math.max(...points.map((p) => p.reach));
  const deep = Math.max(1, ...points.map((p) => p.depth));
  const scale = Math.min(230 / far, 110 / (deep + 1));
  const x = (reach: number) => 20 + reach * scale;
  const y = (depth: number) => 18 + depth * scale;
  return (
    <svg viewBox={`0 0 260 ${y(deep) + 10}`} role="img" aria-label={t('machine.curve')} width="100%">
      <path d={`M0 ${y(0)}H260`} stroke="var(--chakra-colors-ink)" />
      <rect
        x={6}
        y={y(0) - 12}
        width={Math.max(14, machine.width * scale)}
        height={12}
        fill="var(--chakra-colors-placed)"
      />
      <path
        d={points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.reach)} ${y(p.depth)}`).join('')}
        fill="none"
        stroke="var(--chakra-colors-earth)"
        strokeWidth={2.2}
      />
      {points.map((p) => (
        <circle key={p.depth} cx={x(p.reach)} cy={y(p.depth)} r={3} fill="var(--chakra-colors-earth)" />
      ))}
    </svg>
  );
}
