/** The build-up to scale beside the staff: drag an edge for thickness, a layer for its place. */
import { Box } from '@chakra-ui/react';
import type { Element, FloorLayer, FloorStack, Section } from '@cimiento/core';
import { useLayoutEffect, useRef } from 'react';
import { BedHatches, bedFill } from '../../drawing/bedHatches.tsx';
import { EdgeHandle } from '../../drawing/EdgeHandle.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { type Beside, NamesBeside } from '../../drawing/NamesBeside.tsx';
import { depthAt, dragDepth } from '../../drawing/pointer.ts';
import { flagsFor, SLIM, Staff, staffShape } from '../../drawing/Staff.tsx';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround, useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { layerName } from '../../ui/words.ts';
import { moveLayer, setThickness } from './floors.ts';
import { MaterialHatches } from './materials.tsx';

const words = { fontFamily: 'Barlow', fontWeight: 500, fontSize: 12.5 } as const;

export interface StackProps {
  readonly element: Element | undefined;
  readonly index: number;
  readonly near: Section | null;
}

/** Least a layer is drawn high, px: a membrane is a line. */
const THIN = 2;

export function StackDrawing({ element, index, near, stack }: StackProps & { stack: FloorStack | null }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const model = useGround();
  const [frame, { width, height }] = useSize(500, 260);
  const info = takeoff.elements[index];
  const live = info?.live ? info : null;
  const flags = flagsFor(plan, takeoff, model, element, near);
  const levels = [...flags.map((flag) => flag.level), stack?.level ?? plan.levels.string];
  const high = Math.max(...levels) + 0.12;
  const low = Math.min(...levels, live?.dug ?? Infinity) - 0.15;
  const scale = height / (high - low);
  const y = (level: number) => (high - level) * scale;
  const levelOf = (py: number) => high - py / scale;
  // A drag may outlive the scale it began at: it is read by the levels as they are drawn under the hand now.
  const levelNow = useRef(levelOf);
  useLayoutEffect(() => {
    levelNow.current = levelOf;
  });
  const shape = staffShape(width);
  const left = shape.width + 16;
  // On a phone what it is made of wants the room more than the picture of it.
  const right = left + (width < SLIM ? 50 : Math.min(150, Math.max(70, (width - left) * 0.42)));
  const label = right + (width < SLIM ? 14 : 22);
  const floorIndex = plan.levels.floors.findIndex((f) => f.id === stack?.floor.id);

  const names: Beside[] = (stack?.layers ?? []).map(({ layer, top, bottom }) => ({
    key: layer.id,
    text: `${layer.name} · ${format.text(layer.thickness, 'size')}`,
    at: y((top + bottom) / 2),
  }));
  const closure = live?.decision?.closure ?? null;
  if (live) {
    if (closure !== null && Math.abs(closure) > 0.0005)
      names.push({
        key: 'closure',
        text: closureText(),
        at: y((live.top + (stack?.underside ?? live.top)) / 2),
        figure: true,
        wrong: closure < 0,
      });
    names.push({
      key: 'footing',
      text: `${t('stack.footing')} · ${format.text(live.top - live.underside, 'size')}`,
      at: y((live.top + live.underside) / 2),
    });
    for (const { layer, bottom, top } of live.layers)
      names.push({
        key: `bed-${layer.id}`,
        text: `${layerName(t, layer)} · ${format.text(layer.thickness, 'size')}`,
        at: y((bottom + top) / 2),
      });
  }
  function closureText(): string {
    if (closure === null) return '';
    const fit = live?.decision?.courses;
    const size = format.text(Math.abs(closure), 'size');
    if (closure < 0) return t('stack.overlap', { size });
    if (!stack?.courses || !fit) return t('stack.wall', { size });
    if (fit.left === 0) return t('stack.even', { count: fit.count, name: stack.courses.layer.name });
    return t('stack.odd', { count: fit.count, left: format.text(fit.left, 'size') });
  }

  const courses: number[] = [];
  if (stack?.courses && live && closure !== null && closure > 0)
    for (let at = live.top; at < stack.underside - 1e-6 && courses.length < 200; at += stack.courses.module)
      courses.push(at);

  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        aria-label={t('stack.title')}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
      >
        <Hatches prefix="stack" soils={[]} />
        <MaterialHatches prefix="material" />
        <BedHatches prefix="stack" />
        {live && (
          <g pointerEvents="none">
            {live.layers.map(({ layer, bottom, top }) => {
              const short = layer.projection === null ? 0 : 10;
              return (
                <rect
                  key={layer.id}
                  x={left + short}
                  y={y(top)}
                  width={right - left - 2 * short}
                  height={Math.max(0, y(bottom) - y(top))}
                  fill={bedFill('stack', layer.material)}
                  stroke={ink('ink')}
                  strokeWidth={0.6}
                />
              );
            })}
            <rect
              x={left + 18}
              y={y(live.top)}
              width={right - left - 36}
              height={Math.max(0, y(live.underside) - y(live.top))}
              fill="url(#stack-concrete)"
              stroke={ink('ink')}
              strokeWidth={1}
            />
            {stack && closure !== null && closure > 0 && (
              <rect
                x={(left + right) / 2 - 18}
                y={y(stack.underside)}
                width={36}
                height={Math.max(0, y(live.top) - y(stack.underside))}
                fill={stack.courses ? `url(#material-${stack.courses.layer.material})` : 'none'}
                stroke={ink('ink')}
                strokeWidth={1}
                strokeDasharray={stack.courses ? undefined : '4 3'}
              />
            )}
            {courses.map((at) => (
              <path
                key={at}
                d={`M${(left + right) / 2 - 18} ${y(at)}h36`}
                stroke={ink('ink')}
                strokeWidth={0.8}
              />
            ))}
            <path d={`M${left} ${y(live.dug)}H${right}`} stroke={ink('earth')} strokeWidth={2.2} />
          </g>
        )}
        {stack?.layers.map(({ layer, top, bottom }, i) => (
          <LayerBox
            key={layer.id}
            layer={layer}
            top={y(top)}
            height={Math.max(THIN, y(bottom) - y(top))}
            left={left}
            right={right}
            onMove={(event) => {
              const svg = event.currentTarget.ownerSVGElement;
              if (!svg) return;
              let at = i;
              const held = (top + bottom) / 2 - levelOf(depthAt(svg, event));
              dragDepth(
                event,
                height,
                (_units, now) => {
                  const middle = levelNow.current(depthAt(svg, now)) + held;
                  const to = stack.layers.filter(
                    (other, k) => k !== i && (other.top + other.bottom) / 2 > middle,
                  ).length;
                  if (to === at) return;
                  const from = at;
                  at = to;
                  store
                    .getState()
                    .edit((d) => moveLayer(d, stack.floor.id, from, to), `layer-move:${event.timeStamp}`);
                },
                store.getState().settle,
              );
            }}
          />
        ))}
        {stack?.layers.map(({ layer, bottom }, i) => (
          <EdgeHandle
            key={`edge-${layer.id}`}
            id={layer.id}
            label={t('stack.edge', { name: layer.name })}
            text={format.text(layer.thickness, 'size')}
            thickness={layer.thickness}
            at={y(bottom)}
            left={left}
            right={right}
            height={height}
            scale={scale}
            put={(thickness, key) =>
              store.getState().edit((d) => setThickness(d, stack.floor.id, i, thickness), key)
            }
            settle={store.getState().settle}
          />
        ))}
        <NamesBeside names={names} from={right + 2} label={label} width={width} height={height} />
        {floorIndex === -1 && !live && (
          <text x={left} y={height / 2} fill={ink('soft')} style={words}>
            {t('stack.nothing')}
          </text>
        )}
        <Staff flags={flags} y={y} level={levelOf} height={height} shape={shape} />
      </svg>
    </Box>
  );
}

function LayerBox({
  layer,
  top,
  height,
  left,
  right,
  onMove,
}: {
  layer: FloorLayer;
  top: number;
  height: number;
  left: number;
  right: number;
  onMove: (event: React.PointerEvent<SVGElement>) => void;
}) {
  return (
    <rect
      data-layer-box={layer.id}
      x={left}
      y={top}
      width={right - left}
      height={height}
      fill={`url(#material-${layer.material})`}
      stroke={ink('ink')}
      strokeWidth={0.8}
      style={{ cursor: 'grab', touchAction: 'none' }}
      onPointerDown={onMove}
    />
  );
}
