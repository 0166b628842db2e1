/** The ground between any two points, drawn to scale: a fence through the logs. */
import { Box, Flex } from '@chakra-ui/react';
import { clipLine, edges, fence, type GroundLog, postAt, profile } from '@cimiento/core';
import { useMemo, useState } from 'react';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { LevelRuler, RULER } from '../../drawing/LevelRuler.tsx';
import { GroundLines, SoilNames, Soils } from '../../drawing/Strata.tsx';
import { closedPath, dugPath, groundBetween } from '../../drawing/strata.ts';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround, useTakeoff } from '../../state/takeoff.ts';
import { Button, Select, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';

type Place = readonly [number, number];
const STRETCHES = [1, 2, 5] as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
/** A log this near the line is drawn on it, m. */
const NEAR = 4;

export function FenceView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const logs = useDesk((desk) => desk.plan.ground.logs);
  const chosen = useDesk((desk) => desk.view.fence);
  const placing = useDesk((desk) => desk.view.placing);
  const [stretch, setStretch] = useState<(typeof STRETCHES)[number]>(1);
  const ends = chosen ?? endsOf(logs);
  const put = (which: 0 | 1, log: GroundLog) => {
    const now = ends ?? ([log.at, log.at] as const);
    store.getState().look({ fence: which === 0 ? [log.at, now[1]] : [now[0], log.at] });
  };
  const at = (place: Place | undefined) =>
    logs.find((log) => place && log.at[0] === place[0] && log.at[1] === place[1])?.id ?? '';
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('fence.title')}>
      <DrawingHead>
        {head}
        <Box flex="1" />
        {([0, 1] as const).map((which) => (
          <Select
            key={which}
            aria-label={t(which === 0 ? 'fence.from' : 'fence.to')}
            w="auto"
            minW="6rem"
            minH={{ base: '44px', lg: '30px' }}
            value={at(ends?.[which])}
            onChange={(event) => {
              const log = logs.find((l) => l.id === event.target.value);
              if (log) put(which, log);
            }}
          >
            <option value="">{t('fence.point')}</option>
            {logs.map((log) => (
              <option key={log.id} value={log.id}>
                {log.name}
              </option>
            ))}
          </Select>
        ))}
        <Button
          size="sm"
          aria-pressed={placing?.what === 'fence'}
          onClick={() => store.getState().look({ placing: { what: 'fence', from: null } })}
        >
          {t('fence.pick')}
        </Button>
        <Button
          size="sm"
          onClick={() => setStretch(STRETCHES[(STRETCHES.indexOf(stretch) + 1) % STRETCHES.length] ?? 1)}
        >
          {stretch === 1 ? t('section.trueScale') : t('fence.stretched', { n: stretch })}
        </Button>
      </DrawingHead>
      {ends ? (
        <Drawing from={ends[0]} to={ends[1]} stretch={stretch} />
      ) : (
        <Box p={4}>
          <Small fontSize="sm">{t('fence.none')}</Small>
        </Box>
      )}
    </Flex>
  );
}

/** The two logs farthest apart; none with fewer than two. */
function endsOf(logs: readonly GroundLog[]): readonly [Place, Place] | null {
  let best: readonly [Place, Place] | null = null;
  let far = 0;
  logs.forEach((p, i) => {
    for (const q of logs.slice(i + 1)) {
      const away = Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]);
      if (away > far) {
        far = away;
        best = [p.at, q.at];
      }
    }
  });
  return best;
}

function Drawing({ from, to, stretch }: { from: Place; to: Place; stretch: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const model = useGround();
  const takeoff = useTakeoff();
  const ground = useDesk((desk) => desk.plan.ground);
  const [frame, { width, height }] = useSize(808, 250);
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const posts = useMemo(
    () => (length > 0.05 ? fence(model, from, to, length / 160) : []),
    [model, from, to, length],
  );
  if (posts.length === 0) return <Small p={4}>{t('fence.none')}</Small>;
  const ux = (to[0] - from[0]) / length;
  const uy = (to[1] - from[1]) / length;
  const cuts = profile(takeoff.solid, from[0], from[1], ux, uy, [0, length]);
  const deepest = Math.max(...ground.logs.map((log) => log.bottom));
  const high = Math.max(...posts.map((post) => post.ground)) + 0.25;
  const low = Math.min(
    Math.min(...posts.map((post) => post.ground)) - Math.min(deepest, 4) - 0.2,
    ...cuts.map((cut) => Math.min(cut.z0, cut.z1) - 0.2),
  );
  const scale = Math.min((width - RULER - 20) / length, height / (high - low) / stretch);
  const left = RULER + (width - RULER - length * scale) / 2;
  const x = (s: number) => left + s * scale;
  const y = (level: number) => height / 2 - (level - (high + low) / 2) * scale * stretch;
  const bottom = Math.min(height, y(low));
  const scaled = { x, y };
  const near = ground.logs.flatMap((log) => {
    const s = (log.at[0] - from[0]) * ux + (log.at[1] - from[1]) * uy;
    const off = Math.abs((log.at[0] - from[0]) * uy - (log.at[1] - from[1]) * ux);
    return off <= NEAR && s >= -1e-6 && s <= length + 1e-6 ? [{ log, s, off }] : [];
  });
  const surveyed = model.surface.hull
    ? clipLine(from[0], from[1], ux, uy, [0, length], edges(model.surface.hull))
    : ([0, length] as const);
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        aria-label={t('fence.title')}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
      >
        <Hatches prefix="fence" soils={ground.soils.map((soil) => soil.kind)} />
        <Soils posts={posts} scale={scaled} bottom={bottom} prefix="fence" />
        {cuts.map((cut) => (
          <path
            key={cut.s0}
            d={closedPath([...groundBetween(posts, cut.s0, cut.s1), cut.s1, cut.z1, cut.s0, cut.z0], scaled)}
            fill={ink('paper')}
            stroke={ink('paper')}
            strokeWidth={0.8}
          />
        ))}
        <path
          d={dugPath(cuts, posts, scaled)}
          fill="none"
          stroke={ink('earth')}
          strokeWidth={2}
          strokeLinejoin="round"
        />
        <GroundLines posts={posts} scale={scaled} />
        <SoilNames post={postAt(posts, length * 0.02)} scale={scaled} bottom={bottom} />
        {surveyed && surveyed[1] < length - 0.01 && (
          <text x={x(surveyed[1]) + 4} y={y(high) + 12} fill={ink('held')} style={figure}>
            {t('fence.beyond')}
          </text>
        )}
        {near.map(({ log, s, off }) => {
          const top = y(model.level(log.at[0], log.at[1]));
          return (
            <g key={log.id} pointerEvents="none">
              <rect
                x={x(s) - 3}
                y={top}
                width={6}
                height={Math.max(0, y(model.level(log.at[0], log.at[1]) - log.bottom) - top)}
                fill={ink('sheet')}
                stroke={ink('ink')}
                strokeWidth={1}
                strokeDasharray={off > 0.5 ? '3 2' : undefined}
              />
              <text
                x={Math.min(width - 4, Math.max(RULER + 4, x(s)))}
                y={top - 5}
                textAnchor={s > length * 0.9 ? 'end' : s < length * 0.1 ? 'start' : 'middle'}
                fill={ink('ink')}
                style={figure}
              >
                {log.name}
                {off > 0.5 && ` (${t('fence.off', { distance: format.text(off, 'length') })})`}
              </text>
            </g>
          );
        })}
        <text x={width - 8} y={14} textAnchor="end" fill={ink('ink')} style={figure}>
          {format.text(length, 'length')}
        </text>
        <LevelRuler y={y} low={low} high={high} height={height} />
      </svg>
    </Box>
  );
}
