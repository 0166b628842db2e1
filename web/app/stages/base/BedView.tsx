/** The bed under what is picked, to scale beside the staff: drag the lower edge of a layer for its thickness. */
import { Box, Flex } from '@chakra-ui/react';
import { bedOf, type Element, type Section, type Takeoff } from '@cimiento/core';
import { BedHatches, bedFill } from '../../drawing/bedHatches.tsx';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { EdgeHandle } from '../../drawing/EdgeHandle.tsx';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { roughWidth } from '../../drawing/lines.ts';
import { NamesBeside } from '../../drawing/NamesBeside.tsx';
import { flagsFor, SLIM, Staff, staffShape } from '../../drawing/Staff.tsx';
import { useSize } from '../../drawing/useSize.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { drawnText } from '../../ui/drawn.ts';
import { useFormat } from '../../ui/format.tsx';
import { layerName } from '../../ui/words.ts';
import { setThickness } from './beds.ts';
import { LIFT_COLOURS } from './liftColours.ts';

const words = { fontFamily: 'Barlow', fontWeight: 500, fontSize: 12.5 } as const;

type Live = Takeoff['elements'][number];

interface Own {
  readonly element: Element | undefined;
  readonly index: number;
  readonly near: Section | null;
}

export function BedView({ head, ...own }: Own & { head: React.ReactNode }) {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const info = useTakeoff().elements[own.index];
  const bed = own.element ? bedOf(plan, own.element) : null;
  const name = own.element?.name ?? '';
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('base.drawing', { name })}>
      <DrawingHead>
        {head}
        {bed && <Small>{`${bed.name} · ${name}`}</Small>}
      </DrawingHead>
      {info?.live && bed ? (
        <BedDrawing {...own} live={info} />
      ) : (
        <Small fontSize="sm" px={3}>
          {t('base.nothing')}
        </Small>
      )}
    </Flex>
  );
}

/** Room over the footing's underside, as a share of the bed's thickness, and the least of it, m. */
const OVER = 0.45;
const LEAST_OVER = 0.12;

function BedDrawing({ element, index: _index, near, live }: Own & { live: Live }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const model = useGround();
  const [frame, { width, height }] = useSize(500, 260);
  const thickness = live.underside - live.formation;
  const over = Math.max(LEAST_OVER, thickness * OVER);
  const high = live.underside + over;
  const low = Math.min(live.dug, live.formation) - over * 0.6;
  const scale = height / (high - low);
  const y = (level: number) => (high - level) * scale;
  const shape = staffShape(width);
  const left = shape.width + 16;
  const right = left + (width < SLIM ? 60 : Math.min(220, Math.max(90, (width - left) * 0.45)));
  const flags = flagsFor(plan, takeoff, model, element, near).filter(
    (flag) => flag.level >= low && flag.level <= high,
  );
  return (
    <Box ref={frame} flex="1" minH={0} position="relative">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        style={{ width: '100%', height: '100%', position: 'absolute', inset: 0 }}
        data-bed-drawing
        aria-label={drawnText(element?.name ?? '', live, t, format)}
      >
        <Hatches prefix="bed" soils={[]} />
        <BedHatches prefix="bed" />
        <Boxes live={live} y={y} left={left} right={right} />
        <LiftMarks live={live} y={y} left={left} right={right} />
        <Names
          live={live}
          y={y}
          left={right + 2}
          label={right + (width < SLIM ? 14 : 24)}
          height={height}
          width={width}
        />
        <Edges live={live} y={y} left={left} right={right} height={height} scale={scale} />
        <Staff flags={flags} y={y} level={(py) => high - py / scale} height={height} shape={shape} />
      </svg>
    </Box>
  );
}

/** Level of the top of the bed. */
const bedTop = (live: Live) => live.layers.at(-1)?.top ?? live.formation;

interface Sides {
  readonly live: Live;
  readonly y: (level: number) => number;
  readonly left: number;
  readonly right: number;
}

/** What stops short of the faces is drawn narrower, by px. */
const SHORT = 14;

function Boxes({ live, y, left, right }: Sides) {
  const box = (from: number, to: number, short: number, fill: string, key: string) => (
    <rect
      key={key}
      x={left + short}
      y={y(to)}
      width={right - left - 2 * short}
      height={Math.max(0, y(from) - y(to))}
      fill={fill}
      stroke={ink('ink')}
      strokeWidth={0.8}
    />
  );
  return (
    <g pointerEvents="none">
      {live.layers.map(({ layer, bottom, top }) =>
        box(bottom, top, layer.projection === null ? 0 : SHORT, bedFill('bed', layer.material), layer.id),
      )}
      {live.underSlab > 0 &&
        box(bedTop(live), bedTop(live) + live.underSlab, SHORT, ink('chalk-wash'), 'floor')}
      {box(bedTop(live) + live.underSlab, live.top, 2 * SHORT, 'url(#bed-concrete)', 'footing')}
      <path d={`M${left} ${y(live.dug)}H${right}`} stroke={ink('earth')} strokeWidth={2.2} />
    </g>
  );
}

/** Lower than this a lift has no room for its words, px. */
const LEAST_LIFT = 13;

/** Lifts to scale in their layers, each with its number and how it stands. */
function LiftMarks({ live, y, left, right }: Sides) {
  const { t } = useTranslation();
  return (
    <g pointerEvents="none">
      {live.cards.map(({ layer, lift, bottom, top, state }) => (
        <g key={`${layer.id}:${lift}`} data-lift-drawn={`${layer.id}:${lift}`} data-state={state}>
          <path
            d={`M${left} ${y(top)}H${right}`}
            stroke={ink('ink')}
            strokeWidth={0.8}
            strokeDasharray="5 3"
          />
          <rect
            x={right - 7}
            y={y(top)}
            width={7}
            height={y(bottom) - y(top)}
            fill={ink(LIFT_COLOURS[state])}
          />
          {y(bottom) - y(top) > LEAST_LIFT && (
            <LiftName
              x={left + 8}
              y={(y(top) + y(bottom)) / 2}
              colour={state === 'failed' ? 'held' : 'ink'}
              text={`${lift} · ${t(`proof.state.${state}`)}`}
            />
          )}
        </g>
      ))}
    </g>
  );
}

/** Words on a plate: on stone they are not read else. */
const LiftName = ({ x, y, colour, text }: { x: number; y: number; colour: 'held' | 'ink'; text: string }) => (
  <>
    <rect
      x={x - 4}
      y={y - 9}
      width={roughWidth(text, words.fontSize) + 14}
      height={18}
      rx={2}
      fill={ink('sheet')}
    />
    <text x={x} y={y + 4} fill={ink(colour)} style={words}>
      {text}
    </text>
  </>
);

/** Layers by name, thickness and lifts, spread apart where they are thin. */
function Names({
  live,
  y,
  left,
  label,
  height,
  width,
}: Omit<Sides, 'right'> & { label: number; height: number; width: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { beds } = useTakeoff();
  const laid = beds.find((one) => one.bed.id === live.bed?.id);
  const names = [
    {
      key: 'footing',
      text: t('stack.footing'),
      at: y(bedTop(live) + live.underSlab + LEAST_OVER / 2),
    },
    ...(live.underSlab > 0
      ? [
          {
            key: 'floor',
            text: `${t('base.floorUnder')} · ${format.text(live.underSlab, 'size')}`,
            at: y(bedTop(live) + live.underSlab / 2),
          },
        ]
      : []),
    ...live.layers.map(({ layer, bottom, top }, at) => {
      const lifts = laid?.layers[at]?.lifts;
      const size = format.text(layer.thickness, 'size');
      return {
        key: layer.id,
        text: `${layerName(t, layer)} · ${
          lifts && lifts.count > 1 ? `${lifts.count} × ${format.text(lifts.thickness, 'size')}` : size
        }`,
        at: y((bottom + top) / 2),
      };
    }),
  ];
  return <NamesBeside names={names} from={left} label={label} width={width} height={height} />;
}

function Edges({ live, y, left, right, height, scale }: Sides & { height: number; scale: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  return live.layers.map(({ layer, bottom }, at) => (
    <EdgeHandle
      key={layer.id}
      id={layer.id}
      label={t('base.edge', { name: layerName(t, layer) })}
      text={format.text(layer.thickness, 'size')}
      thickness={layer.thickness}
      at={y(bottom)}
      left={left}
      right={right}
      height={height}
      scale={scale}
      put={(thickness, key) =>
        store.getState().edit((d) => setThickness(d, live.bed?.id ?? '', at, thickness), key)
      }
      settle={store.getState().settle}
    />
  ));
}
