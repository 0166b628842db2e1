/** A strip along its own axis: ground, soils, what the rules ask for, and the steps that answer. */
import { Box, Flex } from '@chakra-ui/react';
import { longSection, postAt } from '@cimiento/core';
import { useState } from 'react';
import { BedHatches, bedFill } from '../../drawing/bedHatches.tsx';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { LevelRuler, RULER } from '../../drawing/LevelRuler.tsx';
import { GroundLines, SoilNames, Soils } from '../../drawing/Strata.tsx';
import { closedPath, groundBetween } from '../../drawing/strata.ts';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useGround, useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';

const STRETCHES = [1, 2, 4] as const;
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

export function LongSectionView({ head, index }: { head: React.ReactNode; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const model = useGround();
  const [stretch, setStretch] = useState<(typeof STRETCHES)[number]>(1);
  const [frame, { width, height }] = useSize(808, 250);
  const section = index >= 0 ? longSection(plan, takeoff, index, model) : null;
  const element = plan.elements[index];
  if (!section || !element)
    return (
      <Box px={3} py={1}>
        {head}
        <Small fontSize="sm" pt={3}>
          {t('long.none')}
        </Small>
      </Box>
    );
  const { posts, stretches, length } = section;
  const string = takeoff.elements[index]?.string.level ?? plan.levels.string;
  const { layers = [], formation = 0 } = takeoff.elements[index] ?? {};
  const high = Math.max(...posts.map((post) => post.ground), string) + 0.2;
  const low = Math.min(...stretches.map((s) => s.dug)) - 0.35;
  const scale = Math.min((width - RULER - 24) / length, (height - 8) / (high - low) / stretch);
  const left = RULER + (width - RULER - length * scale) / 2;
  const x = (s: number) => left + s * scale;
  const y = (level: number) => height / 2 - (level - (high + low) / 2) * scale * stretch;
  const scaled = { x, y };
  const bottom = Math.min(height, y(low) + 10);
  const box = (s0: number, s1: number, z0: number, z1: number, fill: string, key: string) => (
    <rect
      key={key}
      x={x(s0)}
      y={y(z1)}
      width={Math.max(0, x(s1) - x(s0))}
      height={Math.max(0, y(z0) - y(z1))}
      fill={fill}
      stroke={ink('ink')}
      strokeWidth={0.9}
    />
  );
  const voids = stretches
    .map((s) => closedPath([...groundBetween(posts, s.s0, s.s1), s.s1, s.dug, s.s0, s.dug], scaled))
    .join('');
  const dug = stretches
    .map((s, i) => `${i === 0 ? 'M' : 'L'}${x(s.s0)} ${y(s.dug)}L${x(s.s1)} ${y(s.dug)}`)
    .join('');
  const asked = section.needs
    .map((need, i) => `${i === 0 ? 'M' : 'L'}${x(need.s).toFixed(1)} ${y(need.level).toFixed(1)}`)
    .join('');
  // Names stand over the longer of the end treads, where they cover least.
  const long = (stretch: (typeof stretches)[number] | undefined) => (stretch ? stretch.s1 - stretch.s0 : 0);
  const onLeft = long(stretches[0]) > long(stretches.at(-1));
  return (
    <Flex
      as="section"
      direction="column"
      h="full"
      minH={0}
      aria-label={t('long.title', { name: element.name })}
    >
      <DrawingHead>
        {head}
        <Box flex="1" />
        <Small>
          {element.name}
          {stretches.length > 1 && ` · ${t('long.steps', { count: stretches.length - 1 })}`}
        </Small>
        <Button
          size="sm"
          onClick={() => setStretch(STRETCHES[(STRETCHES.indexOf(stretch) + 1) % STRETCHES.length] ?? 1)}
        >
          {stretch === 1 ? t('section.trueScale') : t('fence.stretched', { n: stretch })}
        </Button>
      </DrawingHead>
      <Box ref={frame} flex="1" minH={0} position="relative">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          aria-label={t('long.title', { name: element.name })}
          style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
          data-long={stretches.length}
        >
          <Hatches prefix="long" soils={plan.ground.soils.map((soil) => soil.kind)} />
          <BedHatches prefix="long" />
          <Soils posts={posts} scale={scaled} bottom={bottom} prefix="long" />
          {/* The far face of the trench shows through. */}
          <path d={voids} fill={ink('paper')} opacity={0.62} />
          {stretches.map((s) => (
            <g key={s.s0}>
              {layers.map(({ layer, bottom, top }) =>
                box(
                  s.s0,
                  s.s1,
                  s.formation + bottom - formation,
                  s.formation + top - formation,
                  bedFill('long', layer.material),
                  layer.id,
                ),
              )}
              {box(s.s0, s.s1, s.underside, s.top, 'url(#long-concrete)', 'footing')}
            </g>
          ))}
          {section.laps.map((lap) =>
            box(lap.s0, lap.s1, lap.bottom, lap.top, 'url(#long-concrete)', `lap${lap.s0}`),
          )}
          <path d={dug} fill="none" stroke={ink('earth')} strokeWidth={2.2} strokeLinejoin="round" />
          <path d={asked} fill="none" stroke={ink('chalk')} strokeWidth={1.4} strokeDasharray="3 3" />
          <GroundLines posts={posts} scale={scaled} />
          <path d={`M${x(0)} ${y(string)}H${x(length)}`} stroke={ink('chalk')} strokeWidth={1.6} />
          {section.bends.map((s) => (
            <path
              key={s}
              d={`M${x(s)} ${y(high)}V${bottom}`}
              stroke={ink('soft')}
              strokeDasharray="8 4 2 4"
            />
          ))}
          {stretches.map((s) => (
            <g key={`t${s.s0}`} pointerEvents="none">
              {(s.s1 - s.s0) * scale > 40 && (
                <>
                  <text
                    x={x((s.s0 + s.s1) / 2)}
                    y={y(s.dug) + 14}
                    textAnchor="middle"
                    fill={ink('ink')}
                    style={figure}
                  >
                    {format.text(s.s1 - s.s0, 'length')}
                  </text>
                  <text
                    x={x((s.s0 + s.s1) / 2)}
                    y={y(s.top) - 5}
                    textAnchor="middle"
                    fill={ink('earth')}
                    style={figure}
                  >
                    {format.text(s.formation, 'level').replace(/\u00a0m$/, '')}
                  </text>
                </>
              )}
            </g>
          ))}
          <SoilNames
            post={postAt(posts, length * (onLeft ? 0.015 : 0.985))}
            scale={scaled}
            bottom={bottom}
            end={!onLeft}
          />
          <LevelRuler y={y} low={low} high={high} height={height} />
        </svg>
      </Box>
    </Flex>
  );
}
