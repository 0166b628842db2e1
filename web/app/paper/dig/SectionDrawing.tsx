/** The section of the dig sheet, as PDF shapes. */
import {
  type BayCut,
  type BedMaterialId,
  bottomAtCut,
  formationAtCut,
  layerIn,
  layersOver,
  type Plan,
  postAt,
  sectionThrough,
  servicesAlong,
  type Takeoff,
} from '@cimiento/core';
import { G, Line, Path, Rect, Svg, Text } from '@react-pdf/renderer';
import { spread } from '../../drawing/spread.ts';
import { closedPath, groundBetween, groundPath, type Scale, soilPaths } from '../../drawing/strata.ts';
import type { Format } from '../../ui/format.tsx';
import { depthText } from '../../ui/words.ts';
import { CHALK, EARTH, HELD, INK, WATER } from './marks.tsx';

/** Layers of a bed, told apart by shade. */
const LAYERS: Record<BedMaterialId, string> = {
  crushed: '#dcd9d0',
  clear: '#e9e7e0',
  pitGravel: '#d8cdb8',
  sand: '#f1e6c4',
  fine: '#e3e0d8',
  hardcore: '#cfc4bb',
  soilCement: '#d9d6c6',
  lean: '#cfdad6',
  own: '#e0dcd5',
};
/** Soils from the top down, told apart by shade; the sheet is often copied in grey. */
const EARTHS = ['#dfe6d0', '#efe6d6', '#e4d6bf', '#f3ecdf'];

export function SectionDrawing({
  plan,
  takeoff,
  index,
  width,
  height,
  format,
  name,
}: {
  plan: Plan;
  takeoff: Takeoff;
  index: number;
  width: number;
  height: number;
  format: Format;
  name: (flag: string) => string;
}) {
  const near = sectionThrough(plan, takeoff, index);
  const info = takeoff.elements[index];
  if (!near || !info) return null;
  const left = 74;
  const dug = formationAtCut(near, takeoff, index);
  const water = postAt(near.posts, 0)?.water ?? null;
  const string = info.string.level;
  const soft = near.soft.flatMap(({ shape }) => shape.filter((_, i) => i % 2 === 1));
  const levels = [string, dug, info.groundHigh, ...soft, ...(water === null ? [] : [water])];
  const high = Math.max(...levels) + 0.15;
  const low = Math.min(...levels) - 0.25;
  const scale = Math.min(height / (high - low), (width - left) / (2 * near.half));
  const section = sectionThrough(plan, takeoff, index, (width - left) / (2 * scale))!;
  const middle = (high + low) / 2;
  const x = (s: number) => left + (width - left) / 2 + s * scale;
  const y = (level: number) => height / 2 - (level - middle) * scale;
  const scaled = { x, y };
  const ground = (s: number) => postAt(section.posts, s)?.ground ?? 0;
  const path = (points: readonly number[]) => closedPath(points, scaled);
  const depth = depthText(format, string - dug);
  const edge = x(bottomAtCut(section, index)?.[1] ?? 0);
  // Its letters stand beside its line; where there is no room left for them, before it.
  const letters = depth.length * 13 * 0.46 + 3;
  const start = edge + letters > width ? edge - letters - 6 : edge;
  const marks: { item: string; at: number; level: number; colour: string }[] = [
    { item: 'string', level: string, colour: CHALK },
    { item: 'ground', level: ground(0), colour: INK },
    ...(takeoff.frost.depth === null
      ? []
      : [{ item: 'frost', level: info.groundLow - takeoff.frost.depth, colour: CHALK }]),
    { item: 'footing', level: info.underside, colour: INK },
    { item: 'formation', level: dug, colour: EARTH },
    ...(near.bay ? [{ item: 'inside', level: near.bay.inside, colour: INK }] : []),
    ...(water === null ? [] : [{ item: 'water', level: water, colour: WATER }]),
  ].map((mark) => ({ ...mark, at: y(mark.level) }));
  return (
    <Svg width={width} height={height}>
      {soilPaths(section.posts, scaled, height).map((d, k) =>
        d ? (
          <Path
            key={plan.ground.soils[k]?.id}
            d={d}
            fill={EARTHS[k % EARTHS.length]!}
            stroke={INK}
            strokeWidth={0.25}
          />
        ) : null,
      )}
      {section.dug.map((p) => (
        <Path
          key={`d${p.s0},${p.s1},${p.z0}`}
          d={path([...groundBetween(section.posts, p.s0, p.s1), p.s1, p.z1, p.s0, p.z0])}
          fill="#ffffff"
          stroke="#ffffff"
          strokeWidth={0.3}
        />
      ))}
      {section.bay && <BayCutDrawing bay={section.bay} scale={scaled} end={width} />}
      {section.soft.map(({ id, material, shape }) => (
        <Path
          key={`${id}${shape[0]}`}
          d={path(shape)}
          fill={LAYERS[material]}
          stroke={EARTH}
          strokeWidth={0.8}
        />
      ))}
      {section.dug.flatMap((p) =>
        layersOver(plan, takeoff, p).map((layer) => {
          const points = layerIn(p, layer);
          return (
            points && (
              <Path
                key={`s${p.s0}${layer.bottom}`}
                d={path(points)}
                fill={LAYERS[layer.material]}
                stroke="#888"
                strokeWidth={0.3}
              />
            )
          );
        }),
      )}
      {section.boxes.map((box) => (
        <Rect
          key={`${box.element}${box.what}${box.s0}${box.z0}`}
          x={x(box.s0)}
          y={y(box.z1)}
          width={x(box.s1) - x(box.s0)}
          height={y(box.z0) - y(box.z1)}
          fill={
            box.what === 'layer'
              ? LAYERS[box.material ?? 'lean']
              : box.what === 'floor'
                ? '#dfe7f3'
                : '#cfdad6'
          }
          stroke={INK}
          strokeWidth={0.5}
        />
      ))}
      {servicesAlong(plan, takeoff, section, index).map(({ hazard, level, size, opening, s0, s1 }) => {
        const rect = (of: number) => {
          const [from, to] = s0 === s1 ? [s0 - of / 2, s0 + of / 2] : [s0, s1];
          return {
            x: x(from),
            y: y(level + of / 2),
            width: x(to) - x(from),
            height: y(level) - y(level + of),
          };
        };
        return (
          <G key={`${hazard.id}${s0}`}>
            {opening !== null && <Rect {...rect(opening)} fill="#ffffff" stroke={HELD} strokeWidth={0.6} />}
            <Rect {...rect(size)} fill={HELD} stroke={HELD} strokeWidth={0.3} />
          </G>
        );
      })}
      {section.dug.map((p) => (
        <Line
          key={`l${p.s0},${p.s1},${p.z0}`}
          x1={x(p.s0)}
          y1={y(p.z0)}
          x2={x(p.s1)}
          y2={y(p.z1)}
          stroke={EARTH}
          strokeWidth={1.2}
        />
      ))}
      <Path
        d={groundPath(section.posts, scaled)}
        fill="none"
        stroke={INK}
        strokeWidth={0.5}
        strokeDasharray="1 2"
      />
      <Line x1={left} y1={y(string)} x2={width} y2={y(string)} stroke={CHALK} strokeWidth={0.8} />
      {water !== null && (
        <Line x1={left} y1={y(water)} x2={width} y2={y(water)} stroke={WATER} strokeWidth={0.8} />
      )}
      <Line x1={edge - 4} y1={y(string)} x2={edge - 4} y2={y(dug)} stroke={EARTH} strokeWidth={0.8} />
      {/* No line runs under its letters. */}
      <Rect
        x={start - 1}
        y={(y(string) * 3 + y(dug)) / 4 - 6.5}
        width={letters}
        height={12.5}
        fill="#ffffff"
      />
      <Text
        x={start}
        y={(y(string) * 3 + y(dug)) / 4 + 4}
        style={{ fontSize: 13, fontFamily: 'Figures' }}
        fill={EARTH}
      >
        {depth}
      </Text>
      {spread(
        marks.map((mark) => ({ item: mark, at: mark.at })),
        10,
        8,
        height - 3,
      ).map(({ item, at, drawn }) => (
        <G key={item.item}>
          <Line x1={left - 10} y1={drawn - 2.5} x2={left} y2={at} stroke={item.colour} strokeWidth={0.5} />
          <Text
            x={0}
            y={drawn}
            style={{ fontSize: 7.5, fontFamily: 'Figures' }}
            fill={item.colour}
          >{`${name(item.item)} ${format.text(item.level, 'level')}`}</Text>
        </G>
      ))}
    </Svg>
  );
}

/** A bay under an old wall: what is dug of it, the pit that lets people in, the level inside. */
function BayCutDrawing({
  bay: { wall, inside, outline },
  scale,
  end,
}: {
  bay: BayCut;
  scale: Scale;
  end: number;
}) {
  return (
    <G>
      <Path d={closedPath(outline, scale)} fill="#ffffff" stroke={EARTH} strokeWidth={1.2} />
      <Line
        x1={scale.x(wall[1])}
        y1={scale.y(inside)}
        x2={end}
        y2={scale.y(inside)}
        stroke={INK}
        strokeWidth={0.8}
      />
    </G>
  );
}
