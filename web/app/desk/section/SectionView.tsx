/** The section through what is picked, to true scale, with the staff beside it. */
import { Box, Flex } from '@chakra-ui/react';
import { type Element, fillUnder, type Section, sectionThrough } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Button, Heading } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Hatches, ink } from '../hatches.tsx';
import { useDesk } from '../store.ts';
import { useTakeoff } from '../takeoff.ts';
import { useSize } from '../useSize.ts';
import { flagsFor, Staff, staffShape } from './Staff.tsx';

const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600 } as const;
const words = { fontFamily: 'Barlow', fontWeight: 500, fontSize: 13 } as const;

export function SectionView({
  element,
  index,
  near,
}: {
  element: Element | undefined;
  index: number;
  /** The cut as the plan marks it; drawn wider here when there is room. */
  near: Section | null;
}) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const [frame, { width, height }] = useSize(808, 290);
  const [stretch, setStretch] = useState<1 | 2>(1);

  const flags = flagsFor(plan, takeoff, element, near);
  const levels = flags
    .map((flag) => flag.level)
    .filter((level) => Math.abs(level - plan.ground.surface.level) < 12);
  const high = Math.max(...levels, plan.ground.surface.level) + 0.22;
  const low = Math.min(...levels, plan.ground.surface.level - 0.5) - 0.28;
  const shape = staffShape(width);
  const room = width - shape.width;
  const byHeight = height / (high - low) / stretch;
  const scale = Math.max(1, near ? Math.min(byHeight, room / (2 * near.half)) : byHeight);
  const middle = (high + low) / 2;
  const y = (level: number) => height / 2 - (level - middle) * scale * stretch;
  const levelOf = (py: number) => middle - (py - height / 2) / (scale * stretch);
  const section = near && sectionThrough(plan, takeoff, index, room / (2 * scale));
  const x = (s: number) => shape.width + room / 2 + s * scale;

  return (
    <Flex direction="column" h="full" minH={0} as="section" aria-label={t('section.title')}>
      <Flex justify="space-between" align="center" px={3} py={1} gap={2}>
        <Heading>{element ? t('section.through', { name: element.name }) : t('section.title')}</Heading>
        <Button
          size="sm"
          className="no-print"
          aria-pressed={stretch === 2}
          onClick={() => setStretch(stretch === 1 ? 2 : 1)}
        >
          {stretch === 1 ? t('section.trueScale') : t('section.stretched')}
        </Button>
      </Flex>
      <Box ref={frame} flex="1" minH={0} position="relative">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          aria-label={t('section.title')}
          style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        >
          <Hatches prefix="section" soils={plan.ground.soils.map((soil) => soil.kind)} />
          <clipPath id="section-room">
            <rect x={shape.width} y={0} width={Math.max(0, room)} height={height} />
          </clipPath>
          <g clipPath="url(#section-room)">
            {section ? (
              <Cut section={section} x={x} y={y} height={height} width={width} element={element} />
            ) : (
              <Ground x0={shape.width} x1={width} y={y} height={height} />
            )}
          </g>
          <Staff flags={flags} y={y} level={levelOf} height={height} shape={shape} />
        </svg>
        {!section && (
          <Flex
            position="absolute"
            left={`${shape.width}px`}
            right={0}
            top={0}
            bottom={0}
            align="center"
            justify="center"
            pointerEvents="none"
          >
            <Box
              bg="sheet"
              borderWidth="1px"
              borderStyle="dashed"
              borderColor="edge"
              p={3}
              maxW="20rem"
              textAlign="center"
              fontSize="sm"
            >
              {t('section.empty')}
            </Box>
          </Flex>
        )}
      </Box>
    </Flex>
  );
}

/** The soils with nothing dug: what is under the job when nothing is picked. */
function Ground({
  x0,
  x1,
  y,
  height,
}: {
  x0: number;
  x1: number;
  y: (level: number) => number;
  height: number;
}) {
  const plan = useDesk((desk) => desk.plan);
  const { t } = useTranslation();
  const { level } = plan.ground.surface;
  return (
    <g>
      {plan.ground.soils.map((soil, i) => {
        const next = plan.ground.soils[i + 1];
        const top = y(level - soil.top);
        const bottom = next ? y(level - next.top) : height;
        return (
          <g key={soil.id}>
            <rect
              x={x0}
              y={top}
              width={Math.max(0, x1 - x0)}
              height={Math.max(0, bottom - top)}
              fill={`url(#section-${soil.kind})`}
            />
            <SoilName
              x={x0 + 12}
              y={(top + Math.min(bottom, height)) / 2}
              text={soil.name || t(`soil.${soil.kind}`)}
            />
          </g>
        );
      })}
    </g>
  );
}

function SoilName({ x, y, text, end = false }: { x: number; y: number; text: string; end?: boolean }) {
  const width = text.length * 6.6 + 10;
  return (
    <g pointerEvents="none">
      <rect
        x={end ? x + 4 - width : x - 4}
        y={y - 9}
        width={width}
        height={18}
        rx={2}
        fill={ink('sheet')}
        opacity={0.85}
      />
      <text x={x} y={y + 4.5} textAnchor={end ? 'end' : 'start'} fill={ink('ink')} style={words}>
        {text}
      </text>
    </g>
  );
}

function Cut({
  section,
  x,
  y,
  height,
  width,
  element,
}: {
  section: Section;
  x: (s: number) => number;
  y: (level: number) => number;
  height: number;
  width: number;
  element: Element | undefined;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const { half } = section;
  const ground = (s: number) =>
    section.ground[0] + ((s + half) / (2 * half)) * (section.ground[1] - section.ground[0]);
  const path = (points: readonly number[]) => {
    let d = '';
    for (let i = 0; i + 1 < points.length; i += 2)
      d += `${i === 0 ? 'M' : 'L'}${x(points[i]!).toFixed(1)} ${y(points[i + 1]!).toFixed(1)}`;
    return `${d}Z`;
  };

  const voids = section.dug
    .map((p) => path([p.s0, ground(p.s0), p.s1, ground(p.s1), p.s1, p.z1, p.s0, p.z0]))
    .join('');
  // The dug line: one stroke a run of touching pieces, from ground to ground.
  let line = '';
  let end = -Infinity;
  let endLevel = 0;
  for (const p of section.dug) {
    if (p.s0 > end + 1e-6) {
      if (end > -Infinity) line += `L${x(end)} ${y(ground(end))}`;
      line += `M${x(p.s0)} ${y(ground(p.s0))}L${x(p.s0)} ${y(p.z0)}`;
    } else if (Math.abs(p.z0 - endLevel) > 1e-6) line += `L${x(p.s0)} ${y(p.z0)}`;
    line += `L${x(p.s1)} ${y(p.z1)}`;
    end = p.s1;
    endLevel = p.z1;
  }
  if (end > -Infinity) line += `L${x(end)} ${y(ground(end))}`;

  const { water } = plan.ground;
  const filledTo = (level: (owner: number) => number) =>
    section.dug
      .map((p) => fillUnder(p, level(p.owner)))
      .filter((p) => p !== null)
      .map(path)
      .join('');
  const pool = water === null ? '' : filledTo(() => water);
  const stone = plan.base ? filledTo((owner) => takeoff.elements[owner]?.stoneTop ?? -Infinity) : '';
  const order = { blinding: 1, footing: 2, stem: 3 };
  const fill = {
    blinding: 'url(#section-lean)',
    footing: 'url(#section-concrete)',
    stem: 'url(#section-concrete)',
  };
  const info = takeoff.elements.find((e) => e.id === element?.id);
  // Soil names stand where the ground is whole: on the left, or on the right when that is dug.
  const first = section.dug[0];
  const last = section.dug[section.dug.length - 1];
  const leftFree = first ? first.s0 + half : half;
  const rightFree = last ? half - last.s1 : 0;
  const onRight = leftFree < rightFree;
  const left = onRight ? half : -half;
  const frost = takeoff.frost.depth !== null && info ? info.groundLow - takeoff.frost.depth : null;
  return (
    <g>
      {plan.ground.soils.map((soil, i) => {
        const next = plan.ground.soils[i + 1];
        const under = (s: number, depth: number) => `${x(s)} ${y(ground(s) - depth)}`;
        const foot = next
          ? `L${under(half, next.top)}L${under(-half, next.top)}`
          : `L${x(half)} ${height}L${x(-half)} ${height}`;
        return (
          <path
            key={soil.id}
            d={`M${under(-half, soil.top)}L${under(half, soil.top)}${foot}Z`}
            fill={`url(#section-${soil.kind})`}
            stroke={ink('edge')}
            strokeWidth={0.5}
          />
        );
      })}
      <path d={voids} fill={ink('paper')} stroke={ink('paper')} strokeWidth={0.8} />
      {pool && <path d={pool} fill={ink('water')} opacity={0.16} />}
      <path d={stone} fill="url(#section-stone)" />
      {[...section.boxes]
        .sort((p, q) => order[p.what] - order[q.what])
        .map((box) => (
          <rect
            key={`${box.element}${box.what}${box.s0}`}
            x={x(box.s0)}
            y={y(box.z1)}
            width={Math.max(0, x(box.s1) - x(box.s0))}
            height={Math.max(0, y(box.z0) - y(box.z1))}
            fill={fill[box.what]}
            stroke={ink('ink')}
            strokeWidth={1}
          />
        ))}
      <path
        d={`M${x(-half)} ${y(section.ground[0])}L${x(half)} ${y(section.ground[1])}`}
        stroke={ink('ink')}
        strokeWidth={1}
        strokeDasharray="1 3"
      />
      <path d={line} fill="none" stroke={ink('earth')} strokeWidth={2.2} strokeLinejoin="round" />
      <path d={`M0 ${y(plan.levels.string)}H${width}`} stroke={ink('chalk')} strokeWidth={1.6} />
      {frost !== null && (
        <path d={`M0 ${y(frost)}H${width}`} stroke={ink('chalk')} strokeWidth={1.2} strokeDasharray="2 5" />
      )}
      {water !== null && <path d={`M0 ${y(water)}H${width}`} stroke={ink('water')} strokeWidth={1.5} />}
      {plan.ground.soils.map((soil, i) => {
        const bottom = plan.ground.soils[i + 1]?.top;
        const from = y(ground(left) - soil.top);
        const to = bottom === undefined ? height : Math.min(height, y(ground(left) - bottom));
        return (
          to - from > 14 && (
            <SoilName
              key={soil.id}
              x={x(left) + (onRight ? -10 : 10)}
              end={onRight}
              y={Math.min((from + to) / 2, height - 12)}
              text={soil.name || t(`soil.${soil.kind}`)}
            />
          )
        );
      })}
      {info && (
        <g pointerEvents="none">
          <path
            d={`M${x(info.width.dug / 2) - 6} ${y(plan.levels.string)}V${y(info.dug)}m-5 -9l5 9l5 -9`}
            fill="none"
            stroke={ink('earth')}
            strokeWidth={1.5}
          />
          <Big
            x={x(info.width.dug / 2) + 4}
            y={y((plan.levels.string * 3 + info.dug) / 4) + 6}
            text={format.text(info.fromString, 'length', format.system === 'metric' ? { decimals: 3 } : {})}
          />
          <path
            d={`M${x(-info.width.dug / 2)} ${y(info.dug) + 8}H${x(info.width.dug / 2)}m0 -4v8M${x(-info.width.dug / 2)} ${y(info.dug) + 4}v8`}
            stroke={ink('ink')}
            strokeWidth={1}
          />
          <text
            x={x(0)}
            y={y(info.dug) + 21}
            textAnchor="middle"
            fill={ink('ink')}
            style={{ ...figure, fontSize: 14 }}
          >
            {t('section.bottom', { width: format.text(info.width.dug, 'size') })}
          </text>
          {info.slope > 0 && (
            <text
              x={x(-info.width.dug / 2 - (info.depth * info.slope) / 2) + 8}
              y={y(info.dug + info.depth / 2)}
              fill={ink('earth')}
              style={{ ...figure, fontSize: 15 }}
            >
              {format.text(info.slope, 'slope')}
            </text>
          )}
        </g>
      )}
    </g>
  );
}

function Big({ x, y, text }: { x: number; y: number; text: string }) {
  return (
    <g>
      <rect x={x - 3} y={y - 19} width={text.length * 10 + 4} height={25} fill={ink('paper')} opacity={0.8} />
      <text x={x} y={y} fill={ink('earth')} style={{ ...figure, fontSize: 22 }}>
        {text}
      </text>
    </g>
  );
}
