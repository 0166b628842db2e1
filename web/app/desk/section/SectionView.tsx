/** The section through what is picked, to true scale, with the staff beside it. */
import { Box, Flex } from '@chakra-ui/react';
import {
  asDugLine,
  bottomAtCut,
  type Element,
  fillUnder,
  formationAtCut,
  layerIn,
  layersOver,
  neighboursAlong,
  type ProfilePiece,
  postAt,
  type Section,
  sectionThrough,
} from '@cimiento/core';
import { Suspense, useState } from 'react';
import { BedHatches, bedFill } from '../../drawing/bedHatches.tsx';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { flagsFor, Staff, staffShape } from '../../drawing/Staff.tsx';
import { GroundLines, SoilName, SoilNames, Soils } from '../../drawing/Strata.tsx';
import { closedPath, dugPath, groundBetween, type Scale } from '../../drawing/strata.ts';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { groundAtFirstLog, useGround, useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Button } from '../../ui/controls.tsx';
import { drawnText } from '../../ui/drawn.ts';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { depthText, soilName } from '../../ui/words.ts';

const backfill = () => import('../../stages/backfill/index.ts');
const OverdigOnSection = later(() => import('../../stages/dig/layers.ts'), 'OverdigOnSection');
const ServicesOnSection = later(() => import('../../stages/dig/layers.ts'), 'ServicesOnSection');
const StagesOnSection = later(() => import('../../stages/pour/PourLayer.tsx'), 'StagesOnSection');
const BayOnSection = later(() => import('../../stages/dig/layers.ts'), 'BayOnSection');
const FillOnSection = later(backfill, 'FillOnSection');
const FillPlayer = later(backfill, 'FillPlayer');
const NightPlayer = later(() => import('../../stages/water/night/index.ts'), 'NightPlayer');
const figure = { fontFamily: 'Barlow Condensed', fontWeight: 600 } as const;

export function SectionView({
  head,
  element,
  index,
  near,
}: {
  head: React.ReactNode;
  element: Element | undefined;
  index: number;
  /** The cut as the plan marks it; drawn wider here when there is room. */
  near: Section | null;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const model = useGround();
  const [frame, { width, height }] = useSize(808, 290);
  const raining = useDesk((desk) => desk.stage === 'water' && desk.plan.water.storm !== null);
  const filling = useDesk((desk) => desk.stage === 'backfill');
  const [stretch, setStretch] = useState<1 | 2>(1);

  const flags = flagsFor(plan, takeoff, model, element, near);
  const ground = near ? postAt(near.posts, 0)!.ground : groundAtFirstLog(plan, model);
  const soft = near ? near.soft.flatMap(({ shape }) => shape.filter((_, i) => i % 2 === 1)) : [];
  const levels = [...flags.map((flag) => flag.level), ...soft].filter(
    (level) => Math.abs(level - ground) < 12,
  );
  const high = Math.max(...levels, ground) + 0.22;
  const low = Math.min(...levels, ground - 0.5) - 0.28;
  const shape = staffShape(width);
  const room = width - shape.width;
  const byHeight = height / (high - low) / stretch;
  const scale = Math.max(1, near ? Math.min(byHeight, room / (2 * near.half)) : byHeight);
  const middle = (high + low) / 2;
  const y = (level: number) => height / 2 - (level - middle) * scale * stretch;
  const levelOf = (py: number) => middle - (py - height / 2) / (scale * stretch);
  const section = near && sectionThrough(plan, takeoff, index, room / (2 * scale), model);
  const x = (s: number) => shape.width + room / 2 + s * scale;

  const info = takeoff.elements[index];
  const said =
    section && element && info?.live ? drawnText(element.name, info, t, format) : t('section.title');

  return (
    <Flex direction="column" h="full" minH={0} as="section" aria-label={t('section.title')}>
      <DrawingHead>
        {head}
        {filling && (
          <Suspense fallback={null}>
            <FillPlayer index={index} />
          </Suspense>
        )}
        {raining && (
          <Suspense fallback={null}>
            <NightPlayer />
          </Suspense>
        )}
        <Button
          size="sm"
          className="no-print"
          aria-pressed={stretch === 2}
          onClick={() => setStretch(stretch === 1 ? 2 : 1)}
        >
          {stretch === 1 ? t('section.trueScale') : t('section.stretched')}
        </Button>
      </DrawingHead>
      <Box ref={frame} flex="1" minH={0} position="relative">
        <svg
          viewBox={`0 0 ${width} ${height}`}
          aria-label={said}
          style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        >
          <Hatches prefix="section" soils={plan.ground.soils.map((soil) => soil.kind)} />
          <BedHatches prefix="section" />
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

/** The soils at the first log with nothing dug: what is under the job when nothing is picked. */
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
  const plan = useShownPlan();
  const model = useGround();
  const { t } = useTranslation();
  const at = plan.ground.logs[0]?.at ?? [0, 0];
  const level = model.level(at[0], at[1]);
  return (
    <g>
      {model.column(at[0], at[1]).map(({ soil, top, bottom }) => {
        const from = y(level - top);
        const to = Number.isFinite(bottom) ? y(level - bottom) : height;
        return (
          <g key={soil.layer.id}>
            <rect
              x={x0}
              y={from}
              width={Math.max(0, x1 - x0)}
              height={Math.max(0, to - from)}
              fill={`url(#section-${soil.layer.kind})`}
            />
            <SoilName
              x={x0 + 12}
              y={(from + Math.min(to, height)) / 2}
              text={soilName(t, plan, soil.layer)}
            />
          </g>
        );
      })}
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
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const flood = useDesk((desk) => desk.view.flood);
  const hatched = useDesk((desk) => desk.view.hatched);
  const filling = useDesk((desk) => desk.stage === 'backfill');
  const { half, posts } = section;
  const scale = { x, y };
  const ground = (s: number) => postAt(posts, s)?.ground ?? 0;
  const path = (points: readonly number[]) => closedPath(points, scale);

  const voids = section.dug
    .map((p) => path([...groundBetween(posts, p.s0, p.s1), p.s1, p.z1, p.s0, p.z0]))
    .join('');
  const line = dugPath(section.dug, posts, scale);

  const filledTo = (level: (piece: ProfilePiece) => number) =>
    section.dug
      .map((p) => fillUnder(p, level(p)))
      .filter((p) => p !== null)
      .map(path)
      .join('');
  // While a night is played water stands as high as it does then.
  const pool = filledTo(
    (p) => flood?.[plan.elements[p.owner]?.id ?? ''] ?? postAt(posts, (p.s0 + p.s1) / 2)?.water ?? -Infinity,
  );
  const layers = section.dug.flatMap((piece) =>
    layersOver(plan, takeoff, piece).flatMap((layer) => {
      const points = layerIn(piece, layer);
      return points
        ? [{ key: `${piece.part}:${piece.s0}:${layer.bottom}`, material: layer.material, points }]
        : [];
    }),
  );
  const order = { layer: 1, floor: 2, footing: 3, rising: 4 };
  const fill = {
    floor: ink('chalk-wash'),
    footing: 'url(#section-concrete)',
    rising: 'url(#section-concrete)',
  };
  const index = takeoff.elements.findIndex((e) => e.id === element?.id);
  const info = takeoff.elements[index];
  const string = info?.string.level ?? plan.levels.string;
  const cut = bottomAtCut(section, index);
  const [from, to] = cut ?? [0, 0];
  const dug = formationAtCut(section, takeoff, index);
  const found = asDugLine(takeoff, section, index);
  const depth = ground(0) - dug;
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
      <Soils posts={posts} scale={scale} bottom={height} prefix="section" />
      <path d={voids} fill={ink('paper')} stroke={ink('paper')} strokeWidth={0.8} />
      {pool && !flood && <path d={pool} fill={ink('water')} opacity={0.16} />}
      {filling && (
        <Suspense fallback={null}>
          <FillOnSection section={section} scale={scale} index={index} />
        </Suspense>
      )}
      {section.soft.map(({ id, material, shape }) => (
        <path
          key={`${id}${shape[0]}`}
          d={path(shape)}
          fill={bedFill('section', material)}
          stroke={ink('held')}
          strokeWidth={1.4}
          strokeDasharray="5 3"
          data-soft={id}
        />
      ))}
      {section.bay && (
        <Suspense fallback={null}>
          <BayOnSection bay={section.bay} scale={scale} end={x(half)} at={[section.x, section.y]} />
        </Suspense>
      )}
      {layers.map(({ key, material, points }) => (
        <path
          key={key}
          d={path(points)}
          fill={bedFill('section', material)}
          stroke={ink('ink')}
          strokeWidth={0.4}
        />
      ))}
      {[...section.boxes]
        .sort((p, q) => order[p.what] - order[q.what])
        .map((box) => (
          <rect
            key={`${box.element}${box.what}${box.s0}${box.z0}`}
            x={x(box.s0)}
            y={y(box.z1)}
            width={Math.max(0, x(box.s1) - x(box.s0))}
            height={Math.max(0, y(box.z0) - y(box.z1))}
            fill={box.what === 'layer' ? bedFill('section', box.material ?? 'lean') : fill[box.what]}
            stroke={ink('ink')}
            strokeWidth={1}
          />
        ))}
      {/* While a night is played water stands in the stone and round what is to be built. */}
      {pool && flood && <path d={pool} fill={ink('water')} opacity={0.45} data-flooded />}
      <GroundLines posts={posts} scale={scale} />
      {hatched && (
        <Suspense fallback={null}>
          <OverdigOnSection section={section} scale={scale} cause={hatched} />
        </Suspense>
      )}
      <path d={line} fill="none" stroke={ink('earth')} strokeWidth={2.2} strokeLinejoin="round" />
      {found && (
        <g data-as-dug-line>
          <path
            d={found.map(([s, z], i) => `${i === 0 ? 'M' : 'L'}${x(s)} ${y(z)}`).join('')}
            fill="none"
            stroke={ink('held')}
            strokeWidth={2}
            strokeDasharray="6 3"
          />
          <text
            x={x(found.at(-1)![0]) + 6}
            y={y(found.at(-1)![1]) + 4}
            fill={ink('held')}
            stroke={ink('paper')}
            strokeWidth={3}
            paintOrder="stroke"
            style={{ ...figure, fontSize: 14 }}
          >
            {t('plan.asDug')}
          </text>
        </g>
      )}
      <path d={`M0 ${y(string)}H${width}`} stroke={ink('chalk')} strokeWidth={1.6} />
      {frost !== null && (
        <path d={`M0 ${y(frost)}H${width}`} stroke={ink('chalk')} strokeWidth={1.2} strokeDasharray="2 5" />
      )}
      <Neighbours section={section} scale={scale} />
      {takeoff.crossings.length > 0 && <ServicesOnSection section={section} scale={scale} index={index} />}
      <StagesOnSection section={section} scale={scale} index={index} />
      <SoilNames post={postAt(posts, left)} scale={scale} bottom={height} end={onRight} />
      {info && (
        <g pointerEvents="none">
          <path
            d={`M${x(to) - 6} ${y(string)}V${y(dug)}m-5 -9l5 9l5 -9`}
            fill="none"
            stroke={ink('earth')}
            strokeWidth={1.5}
          />
          <Big x={x(to) + 4} y={y((string * 3 + dug) / 4) + 6} text={depthText(format, string - dug)} />
          {cut && (
            <>
              <path
                d={`M${x(from)} ${y(dug) + 8}H${x(to)}m0 -4v8M${x(from)} ${y(dug) + 4}v8`}
                stroke={ink('ink')}
                strokeWidth={1}
              />
              <text
                x={x((from + to) / 2)}
                y={y(dug) + 21}
                textAnchor="middle"
                fill={ink('ink')}
                stroke={ink('paper')}
                strokeWidth={3}
                paintOrder="stroke"
                style={{ ...figure, fontSize: 14 }}
                data-bottom
              >
                {t('section.bottom', { width: format.text(to - from, 'size') })}
              </text>
            </>
          )}
          {info.slope > 0 && info.support === 'slope' && (
            <text
              x={x(from - (depth * info.slope) / 2) + 8}
              y={y(dug + depth / 2)}
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

/** A neighbour's footing met by the cut, and its line of influence down to the dig. */
function Neighbours({ section, scale }: { section: Section; scale: Scale }) {
  const hazards = useDesk((desk) => desk.plan.ground.hazards);
  const influence = useDesk((desk) => desk.plan.levels.influence);
  const { x, y } = scale;
  return neighboursAlong(hazards, section).map(({ hazard, s, level, half }) => {
    const way = s > 0 ? -1 : 1;
    const edge = s + way * half;
    const reach = Math.abs(edge) + section.half;
    return (
      <g key={hazard.id} pointerEvents="none" data-neighbour={hazard.id}>
        <rect
          x={x(s - half)}
          y={y(level + 0.3)}
          width={x(s + half) - x(s - half)}
          height={y(level) - y(level + 0.3)}
          fill="url(#section-concrete)"
          stroke={ink('ink')}
        />
        <path
          d={`M${x(edge)} ${y(level)}L${x(edge + way * reach)} ${y(level - reach * influence)}`}
          stroke={ink('held')}
          strokeWidth={1.6}
          strokeDasharray="9 4"
        />
        <text
          // In the drawing even where the neighbour itself is out of it.
          x={way > 0 ? Math.max(x(s) - 6, x(-section.half) + 2) : Math.min(x(s) + 6, x(section.half) - 2)}
          y={y(Math.max(level + 0.3, postAt(section.posts, s)?.ground ?? level)) - 6}
          textAnchor={way > 0 ? 'start' : 'end'}
          fill={ink('held')}
          stroke={ink('paper')}
          strokeWidth={3}
          paintOrder="stroke"
          style={{ ...figure, fontSize: 13 }}
        >
          {hazard.name}
        </text>
      </g>
    );
  });
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
