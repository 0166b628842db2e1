/** Where the soil goes, as one picture: out of the ground, through heaps, back, away, and what comes for it. */
import { Box, Flex } from '@chakra-ui/react';
import { FLOW_ENDS, type FlowEnd, flowOf, type SoilFlow, type SoilKind, type Stream } from '@cimiento/core';
import { useMemo, useState } from 'react';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { useSize } from '../../drawing/useSize.ts';
import type { Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { soilName } from '../../ui/words.ts';

type Measure = 'bank' | 'loose' | 'tamped';
const words = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
const numbers = { ...words, fontSize: 14 } as const;

/** Words stand on what runs under them. */
const halo = { stroke: ink('paper'), strokeWidth: 3, paintOrder: 'stroke' } as const;

/** Height of a line of words, and between two boxes, px. */
const LINE = 16;
const GAP = 8;
/** How wide a box is drawn, px. */
const BAR = 12;

/** What a stream comes from, as a key. */
const fromKey = ({ from }: Stream): string => (typeof from === 'object' ? from.soil : from);

/** Boxes one under the other, as high as what they hold, each with room for its words. */
function stacked(
  keys: readonly string[],
  sizes: ReadonlyMap<string, number>,
  scale: number,
): Map<string, { readonly top: number; readonly high: number }> {
  const out = new Map<string, { top: number; high: number }>();
  let at = 2;
  for (const key of keys) {
    const high = Math.max(1.5, (sizes.get(key) ?? 0) * scale);
    out.set(key, { top: at, high });
    at += Math.max(high, 2 * LINE) + GAP;
  }
  return out;
}

export function FlowView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const [measure, setMeasure] = useState<Measure>('loose');
  const [rained, setRained] = useState(false);
  const dry = useMemo(() => flowOf(plan, takeoff), [plan, takeoff]);
  const shown = useMemo(() => (rained ? flowOf(plan, takeoff, true) : dry), [plan, takeoff, rained, dry]);
  const loads = ({ loads: { out, in: into }, cost }: SoilFlow) =>
    [
      t('backfill.flowLoads', { out, in: into }),
      ...(cost !== null && cost > 0
        ? [`${format.text(cost, 'price', { decimals: 0 })} ${plan.prices.currency}`.trim()]
        : []),
    ].join(' · ');
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('backfill.flow')}>
      <DrawingHead>
        {head}
        <Flex gap={1} wrap="wrap" align="center">
          {(['bank', 'loose', 'tamped'] as const).map((state) => (
            <Button
              key={state}
              size="sm"
              aria-pressed={state === measure}
              look={state === measure ? 'main' : 'plain'}
              onClick={() => setMeasure(state)}
            >
              {t(`backfill.states.${state}`)}
            </Button>
          ))}
          <Button
            size="sm"
            aria-pressed={rained}
            look={rained ? 'main' : 'plain'}
            onClick={() => setRained(!rained)}
          >
            {t('backfill.flowRain')}
          </Button>
        </Flex>
      </DrawingHead>
      {shown.streams.length === 0 ? (
        <Small fontSize="sm" px={3}>
          {t('backfill.noFlow')}
        </Small>
      ) : (
        <Picture flow={shown} measure={measure} />
      )}
      <Box
        px={3}
        pb={1.5}
        fontSize="sm"
        data-flow-loads={`${shown.loads.out}/${shown.loads.in}`}
        role="status"
      >
        {rained
          ? `${t('backfill.flowDry')}: ${loads(dry)} → ${t('backfill.flowRain')}: ${loads(shown)}`
          : loads(shown)}
      </Box>
    </Flex>
  );
}

/** A ribbon from one box to another. */
interface Link {
  readonly key: string;
  readonly from: string;
  readonly to: string;
  readonly value: number;
  readonly soil: SoilKind | undefined;
  readonly away: boolean;
}

/** Streams as ribbons: what is kept goes through a heap, by what is done with it there. */
function linksOf(
  streams: readonly Stream[],
  measure: Measure,
  kindOf: (key: string) => SoilKind | undefined,
): Link[] {
  return streams.flatMap((stream): Link[] => {
    const key = fromKey(stream);
    const own = { value: stream[measure], soil: kindOf(key), away: stream.to === 'away' };
    const heap =
      typeof stream.from === 'object' && stream.to !== 'away' ? `heap:${stream.use ?? 'topsoil'}` : null;
    const id = `${key}>${stream.to}`;
    return heap
      ? [
          { key: `${id}:in`, from: key, to: heap, ...own },
          { key: id, from: heap, to: stream.to, ...own },
        ]
      : [{ key: id, from: key, to: stream.to, ...own }];
  });
}

const HEAPS = ['topsoil', 'fit', 'mix', 'dry'] as const;

function Picture({ flow, measure }: { flow: SoilFlow; measure: Measure }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const [frame, { width, height }] = useSize(808, 240);
  const soils = plan.ground.soils;
  const volume = (value: number) => format.text(value, 'volume');
  const kind = (key: string) => soils.find(({ id }) => id === key)?.kind;
  const links = linksOf(flow.streams, measure, kind);
  const sums = (keyOf: (link: Link) => string) => {
    const out = new Map<string, number>();
    for (const link of links) out.set(keyOf(link), (out.get(keyOf(link)) ?? 0) + link.value);
    return out;
  };
  const [from, to] = [sums((link) => link.from), sums((link) => link.to)];
  const sources = [...soils.map(({ id }) => id), 'broughtIn', 'stone', 'broken'].filter((key) =>
    from.has(key),
  );
  const heaps = HEAPS.map((use) => `heap:${use}`).filter((key) => to.has(key));
  const ends = FLOW_ENDS.filter((end) => to.has(end));
  const whole = (keys: readonly string[], of: ReadonlyMap<string, number>) =>
    keys.reduce((sum, key) => sum + (of.get(key) ?? 0), 0);
  const total = Math.max(1e-9, whole(sources, from), whole(ends, to));
  const rows = Math.max(sources.length, ends.length, heaps.length);
  const scale = Math.max(0, height - rows * (GAP + 6) - 8) / total;
  const left = stacked(sources, from, scale);
  const middle = stacked(heaps, to, scale);
  const right = stacked(ends, to, scale);
  const side = Math.min(190, width * 0.26);
  const columns = { left: side, middle: width / 2 - BAR / 2, right: width - side - BAR };
  const used = { out: new Map<string, number>(), in: new Map<string, number>() };
  const next = (of: 'out' | 'in', key: string, top: number, value: number) => {
    const at = used[of].get(key) ?? 0;
    used[of].set(key, at + value * scale);
    return top + at;
  };
  const deep = Math.max(
    height,
    ...[...left.values(), ...middle.values(), ...right.values()].map(
      ({ top, high }) => top + Math.max(high, 2 * LINE) + 4,
    ),
  );
  const name = (key: string) => nameOf(t, key, () => soilName(t, plan, soils.find(({ id }) => id === key)!));
  return (
    <Box ref={frame} flex="1" minH={0} overflowY="auto">
      <svg
        viewBox={`0 0 ${width} ${deep}`}
        role="img"
        aria-label={t('backfill.flow')}
        style={{ width: '100%', height: deep, display: 'block' }}
        data-flow
      >
        <Hatches prefix="flow" soils={soils.map((soil) => soil.kind)} />
        {links.map((link) => {
          const begins = left.get(link.from) ?? middle.get(link.from);
          const ends_ = middle.get(link.to) ?? right.get(link.to);
          if (!begins || !ends_) return null;
          const x0 = (left.has(link.from) ? columns.left : columns.middle) + BAR;
          const x1 = middle.has(link.to) ? columns.middle : columns.right;
          const y0 = next('out', link.from, begins.top, link.value);
          const y1 = next('in', link.to, ends_.top, link.value);
          const high = Math.max(1, link.value * scale);
          const half = (x0 + x1) / 2;
          return (
            <path
              key={link.key}
              d={`M${x0} ${y0}C${half} ${y0} ${half} ${y1} ${x1} ${y1}v${high}C${half} ${y1 + high} ${half} ${y0 + high} ${x0} ${y0 + high}Z`}
              fill={link.soil ? `url(#flow-${link.soil})` : ink('placed-wash')}
              stroke={ink(link.away ? 'held' : 'edge')}
              strokeWidth={0.8}
              opacity={link.away ? 0.7 : 0.9}
              data-stream={link.key}
            />
          );
        })}
        {sources.map((key) => (
          <Node
            key={key}
            x={columns.left}
            {...left.get(key)!}
            anchor="end"
            at={columns.left - 6}
            name={name(key)}
            value={volume(from.get(key)!)}
            fill={kind(key) ? `url(#flow-${kind(key)})` : ink('placed')}
          />
        ))}
        {HEAPS.filter((use) => to.has(`heap:${use}`)).map((use) => (
          <Node
            key={use}
            x={columns.middle}
            {...middle.get(`heap:${use}`)!}
            anchor="start"
            at={columns.middle + BAR + 6}
            name={t('backfill.heap', {
              use: use === 'topsoil' ? t('backfill.topsoil') : t(`backfill.uses.${use}`),
            })}
            value={volume(to.get(`heap:${use}`)!)}
            fill={ink('earth')}
          />
        ))}
        {ends.map((end: FlowEnd) => (
          <Node
            key={end}
            x={columns.right}
            {...right.get(end)!}
            anchor="start"
            at={columns.right + BAR + 6}
            name={t(`backfill.ends.${end}`)}
            value={volume(to.get(end)!)}
            fill={ink(end === 'away' ? 'held' : end === 'spare' ? 'earth' : 'placed')}
          />
        ))}
      </svg>
    </Box>
  );
}

const BOUGHT = ['broughtIn', 'broken', 'stone'] as const;
const nameOf = (t: Say, key: string, soil: () => string): string => {
  const bought = BOUGHT.find((one) => one === key);
  return bought ? t(`backfill.from.${bought}`) : soil();
};

interface NodeProps {
  readonly x: number;
  readonly top: number;
  readonly high: number;
  readonly anchor: 'start' | 'end';
  readonly at: number;
  readonly name: string;
  readonly value: string;
  readonly fill: string;
}

function Node({ x, top, high, anchor, at, name, value, fill }: NodeProps) {
  const middle = top + high / 2;
  const first = Math.max(top + 11, middle - 3);
  return (
    <g>
      <rect x={x} y={top} width={BAR} height={high} fill={fill} stroke={ink('ink')} strokeWidth={0.8} />
      <text {...halo} x={at} y={first} textAnchor={anchor} fill={ink('ink')} style={words}>
        {name}
      </text>
      <text {...halo} x={at} y={first + 14} textAnchor={anchor} fill={ink('ink')} style={numbers}>
        {value}
      </text>
    </g>
  );
}
