/** Frost: the local figure and the computed one side by side, the winter, covers, frozen today. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import {
  COVER_KINDS,
  type CoverKind,
  frozenAfter,
  N_FACTORS,
  nextName,
  type Problem,
  type SurfaceCondition,
  wintersOf,
} from '@cimiento/core';
import { readClimateCsv } from '@cimiento/formats';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround, useTakeoff } from '../../state/takeoff.ts';
import { Button, FieldError, Input, Select, Small } from '../../ui/controls.tsx';
import { dayText } from '../../ui/days.ts';
import { Explain } from '../../ui/Explain.tsx';
import { FilePick } from '../../ui/FilePick.tsx';
import { useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { today } from '../../ui/today.ts';
import { useReading } from '../../ui/useReading.ts';
import { problemText } from '../../ui/words.ts';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function FrostPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const frost = useTakeoff().frost;
  return (
    <Panel
      fold="open"
      title={t('ground.frost')}
      aside={frost.governs && t(`ground.governs.${frost.governs}`)}
    >
      <PlanField hint={t('ground.frostLocalHint')} path="/ground/frost/local" optional />
      <PlanField path="/ground/frost/margin" />
      <SideBySide />
      {frost.depth === null && <Small>{t('ground.noFrost')}</Small>}
      {frost.group && (
        <>
          <Fact label={t('frost.group')} note={t(`frost.groups.${frost.group}`)} value={frost.group} />
          <Explain term="heaveGroup" />
        </>
      )}
      <Climate />
      <Covers />
      <Frozen />
      {frost.climate && (
        <Button
          onClick={() => {
            const { look, view } = store.getState();
            look({ lower: { ...view.lower, ground: 'frost' } });
          }}
        >
          {t('frost.show')}
        </Button>
      )}
      {frost.at && frost.computed !== null && (
        <Small>
          {t('frost.deepestAt', { name: frost.at, depth: format.text(frost.computed, 'length') })}
        </Small>
      )}
    </Panel>
  );
}

/** Two figures on one line; the larger is marked as the one that counts. */
function SideBySide() {
  const { t } = useTranslation();
  const format = useFormat();
  const frost = useTakeoff().frost;
  return (
    <Flex gap={2} data-frost-compare>
      {(['local', 'computed'] as const).map((which) => {
        const value = frost[which];
        const governs = frost.governs === which;
        return (
          <Box
            key={which}
            flex="1"
            p={2}
            borderWidth={governs ? '2px' : '1px'}
            borderStyle="solid"
            borderColor={governs ? 'chalk' : 'edge'}
            bg={governs ? 'chalkWash' : 'sheet'}
          >
            <Small>{t(`frost.${which}`)}</Small>
            <Box fontFamily="figure" fontWeight={600} fontSize="xl">
              {value === null ? '–' : format.text(value, 'length')}
            </Box>
            <Small>
              {governs ? t('frost.counts') : value === null ? t('frost.open') : t('frost.smaller')}
            </Small>
          </Box>
        );
      })}
    </Flex>
  );
}

function Climate() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const climate = useDesk((desk) => desk.plan.ground.frost.climate);
  const frost = useTakeoff().frost;
  const [problem, setProblem] = useState<Problem | null>(null);
  const [suspect, setSuspect] = useState<string | null>(null);
  const [left, setLeft] = useState<string[]>([]);
  const { edit, look, view } = store.getState();

  const take = (text: string, fahrenheit: boolean) => {
    setProblem(null);
    setSuspect(null);
    const read = readClimateCsv(text, fahrenheit);
    if (!read.ok) return setProblem(read.problem);
    if (read.fahrenheit) return setSuspect(text);
    const record = wintersOf(read.readings);
    setLeft(record.left.map(({ winter, missing }) => t('frost.gap', { winter, count: missing })));
    if (record.winters.length === 0) return setProblem({ code: 'noWinter', path: '' });
    edit((d) => {
      d.ground.frost.climate = {
        index: null,
        days: null,
        mean: Math.min(30, Math.max(0, Math.round(record.mean * 10) / 10)),
        nFactor: d.ground.frost.climate?.nFactor ?? N_FACTORS.bare,
        record: record.winters.slice(-120).map((winter) => ({
          ...winter,
          index: Math.round(winter.index * 10) / 10,
        })),
        shape: record.shape.map((share) => Math.round(share * 1e4) / 1e4),
      };
    });
    look({ lower: { ...view.lower, ground: 'frost' } });
  };
  const condition =
    (Object.keys(N_FACTORS) as SurfaceCondition[]).find((key) => N_FACTORS[key] === climate?.nFactor) ??
    'own';
  return (
    <>
      <Toggle
        label={t('ground.byClimate')}
        on={climate !== null}
        onChange={(on) =>
          edit((d) => {
            d.ground.frost.climate = on
              ? { index: 300, days: 100, mean: 8, nFactor: N_FACTORS.bare, record: [], shape: [] }
              : null;
          })
        }
      />
      <Flex gap={1.5} wrap="wrap">
        <FilePick
          accept=".csv,.txt,text/csv"
          name="climate"
          onFile={(file) => void file.text().then((text) => take(text, false))}
        >
          {t('frost.import')}
        </FilePick>
      </Flex>
      {suspect !== null && (
        <Box
          role="alert"
          borderLeftWidth="4px"
          borderStyle="solid"
          borderColor="held"
          bg="heldWash"
          p={2}
          fontSize="sm"
        >
          <p>{t('frost.fahrenheit')}</p>
          <Flex gap={1.5} pt={1}>
            <Button size="sm" onClick={() => take(suspect, true)}>
              {t('frost.readFahrenheit')}
            </Button>
            <Button size="sm" onClick={() => setSuspect(null)}>
              {t('survey.leave')}
            </Button>
          </Flex>
        </Box>
      )}
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
      {left.length > 0 && <Small>{t('frost.leftOut', { list: left.slice(0, 4).join('; ') })}</Small>}
      {climate && (
        <>
          <PlanField
            hint={
              climate.index !== null || !frost.winter
                ? t('origin.typed')
                : t(`frost.rule.${frost.winter.rule}`, { of: frost.winter.of.join(', ') })
            }
            path="/ground/frost/climate/index"
            placeholder={frost.winter?.index}
            optional
          />
          <PlanField
            path="/ground/frost/climate/days"
            placeholder={Math.round(frost.winter?.days ?? 100)}
            optional
          />
          <PlanField path="/ground/frost/climate/mean" />
          <Choice
            label={t('frost.surface')}
            value={condition}
            options={[
              ...(Object.keys(N_FACTORS) as SurfaceCondition[]).map((value) => ({
                value,
                label: t(`frost.surfaces.${value}`, { n: N_FACTORS[value] }),
              })),
              { value: 'own' as const, label: t('frost.surfaces.own') },
            ]}
            onChange={(value) => {
              if (value !== 'own')
                edit((d) => {
                  if (d.ground.frost.climate) d.ground.frost.climate.nFactor = N_FACTORS[value];
                });
            }}
          />
          <PlanField hint="UFC 3-130-06" path="/ground/frost/climate/nFactor" />
          <Explain term="nFactor" />
        </>
      )}
    </>
  );
}

/** What is laid over the ground before the winter: fill and insulation board, from the top down. */
function Covers() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const cover = useDesk((desk) => desk.plan.ground.frost.cover);
  const climate = useDesk((desk) => desk.plan.ground.frost.climate);
  const { edit } = store.getState();
  if (!climate) return null;
  return (
    <Stack gap={1.5}>
      {cover.map((layer, i) => (
        <Flex
          key={layer.id}
          gap={1.5}
          align="end"
          borderLeftWidth="3px"
          borderStyle="solid"
          borderColor="placed"
          pl={2}
        >
          <Box flex="1.2">
            <Select
              aria-label={t('frost.coverKind')}
              value={layer.kind}
              onChange={(event) =>
                edit((d) => {
                  d.ground.frost.cover[i]!.kind = event.target.value as CoverKind;
                })
              }
            >
              {COVER_KINDS.map((kind) => (
                <option key={kind} value={kind}>
                  {t(`frost.cover.${kind}`)}
                </option>
              ))}
            </Select>
          </Box>
          <Box flex="1">
            <PlanField stacked path={`/ground/frost/cover/${i}/thickness`} />
          </Box>
          <Button
            look="quiet"
            px={1}
            aria-label={t('frost.removeCover', { n: i + 1 })}
            onClick={() =>
              edit((d) => {
                d.ground.frost.cover.splice(i, 1);
              })
            }
          >
            <Trash2 size={15} aria-hidden />
          </Button>
        </Flex>
      ))}
      {cover.length < 6 && (
        <Button
          onClick={() =>
            edit((d) => {
              d.ground.frost.cover.push({
                id: nextName(
                  'cover-',
                  cover.map((layer) => layer.id),
                ),
                kind: cover.length === 0 ? 'gravel' : 'board',
                thickness: cover.length === 0 ? 0.3 : 0.05,
                conductivity: null,
              });
            })
          }
        >
          {t('frost.addCover')}
        </Button>
      )}
    </Stack>
  );
}

interface Feed {
  readonly days: readonly { readonly date: string; readonly mean: number }[];
}

/** Ground frozen on the day of the dig: typed, or worked out from the weather feed. */
function Frozen() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const model = useGround();
  const takeoff = useTakeoff();
  const { frozen } = takeoff.facts;
  const log = useLog();
  const zone = useDesk((desk) => desk.plan.water.zone);
  const [day, setDay] = useState(() => today(zone));
  const [said, setSaid] = useState<string | null>(null);
  const reading = useReading(frozen?.depth ?? null, (depth) => {
    if (depth !== null) log('frozen', { depth, from: 'typed', when: day });
  });
  const ask = async () => {
    const response = await fetch(`/weather?to=${day}&days=240`).catch(() => null);
    if (!response?.ok) return setSaid(t('frost.feedAway'));
    const feed = (await response.json()) as Feed;
    const now = frozenAfter(
      store.getState().plan,
      model,
      feed.days.map(({ mean }) => mean),
    );
    const depth = Math.round(now.depth * 100) / 100;
    setSaid(
      t(now.depth === 0 ? 'frost.notFrozen' : now.thawing ? 'frost.thawing' : 'frost.freezing', {
        depth: format.text(depth, 'length'),
        index: format.text(now.index, 'degreeDays'),
      }),
    );
    if (depth > 0 || frozen) log('frozen', { depth, from: 'feed', when: day });
  };
  return (
    <>
      <Toggle
        label={t('frost.frozen')}
        on={frozen !== null}
        onChange={(on) => log('frozen', { depth: on ? 0.3 : 0, from: 'typed', when: day })}
      />
      {frozen && (
        <QuantityField
          label={t('frost.frozenDepth')}
          hint={t(`frost.from.${frozen.from}`, { when: dayText(format.lang, frozen.when) })}
          range="frozenDepth"
          {...reading}
        />
      )}
      <Flex gap={1.5} align="center">
        <Input
          type="date"
          aria-label={t('frost.day')}
          value={day}
          onChange={(event) => setDay(event.target.value)}
          flex="1"
          minW={0}
        />
        <Button onClick={() => void ask()}>{t('frost.ask')}</Button>
      </Flex>
      {said && <Small role="status">{said}</Small>}
      {takeoff.frozen && (
        <Fact
          label={t('frost.crust')}
          note={t('frost.crustNote', {
            longer: format.text(1 / takeoff.frozen.rate, 'number', { decimals: 1 }),
          })}
          value={format.text(takeoff.frozen.volume, 'volume')}
        />
      )}
    </>
  );
}
