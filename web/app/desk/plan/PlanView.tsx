/** The plan: to scale, with openings, footings and axes; pan, zoom, fit, pick and drag. */
import { Box, Flex } from '@chakra-ui/react';
import {
  drainOf,
  type Element,
  type ElementTakeoff,
  flatsOf,
  isOutlined,
  isRun,
  labelPlace,
  pointsOf,
  type Section,
  withPoints,
} from '@cimiento/core';
import {
  type ComponentType,
  memo,
  Suspense,
  useCallback,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { useShallow } from 'zustand/react/shallow';
import { Hatches, ink } from '../../drawing/hatches.tsx';
import { Labels, LabelsOf, makeLabelBoard, useLabels } from '../../drawing/labels.tsx';
import { PlanBar } from '../../drawing/PlanBar.tsx';
import { arrowMove, trackPointer, worldAt } from '../../drawing/pointer.ts';
import { snapPoint } from '../../drawing/snap.ts';
import { useReach } from '../../drawing/useReach.ts';
import { useSize } from '../../drawing/useSize.ts';
import { extent, isFitted, polygonPath, type View, viewOf, type Zoom } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import type { Stage } from '../../state/stages.ts';
import { type Desk, type FitTo, useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Button, Heading } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { countText } from '../../ui/words.ts';
import type { PlanLayer } from '../stageRow.ts';
import { elementNames } from './elementNames.ts';
import { Compass, CutMark, Grid, PickedDimensions, ScaleBar } from './Marks.tsx';
import type { Zoomer } from './zoom.ts';

const marks = () => import('./KindMarks.tsx');
const Bays = later(marks, 'Bays');
const Outlet = later(marks, 'Outlet');

const STILL: Zoom = { k: 1, x: 0, y: 0 };
/** How near in pixels a dragged point must come to be attracted. */
const REACH = 9;

/** A layer with the stage it is of. */
type Handed = PlanLayer & { readonly stage: Stage };

/**
 * @param layers all there are, of which those are drawn that are wanted now
 * @param Tool a button of the stage, in the head
 * @param spoken says so when nothing is drawn yet
 * @param onPlace the next press puts something there
 */
export function PlanView({
  section,
  layers,
  Tool,
  spoken,
  onPlace,
}: {
  section: Section | null;
  layers: readonly Handed[];
  Tool: ComponentType | undefined;
  spoken: boolean;
  onPlace: (at: readonly [number, number]) => void;
}) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useShownPlan();
  const picked = useDesk((desk) => desk.picked);
  const pickedElement = plan.elements.find((e) => e.id === picked);
  const takeoff = useTakeoff();
  const { system } = useFormat();
  const [frame, { width, height }] = useSize(808, 364);
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<Promise<Zoomer | null> | null>(null);
  const [zoom, setZoom] = useState<Zoom>(STILL);
  // While something is dragged the window must not move under it.
  const held = useRef<ReturnType<typeof extent> | null>(null);
  const stage = useDesk((desk) => desk.stage);
  const wanted = useDesk(useShallow((desk: Desk) => layers.filter(({ when }) => when(desk))));
  const placing = useDesk((desk) => desk.view.placing);
  const [over, setOver] = useState<readonly [number, number] | null>(null);
  const fitTo = useDesk((desk) => desk.view.fitTo);
  const box = held.current ?? extent(plan, takeoff, stage, fitTo);
  const { x0, y0, x1, y1 } = box;
  // The same window while nothing of it moves: what did not change is not drawn again.
  const view = useMemo(
    () => viewOf({ x0, y0, x1, y1 }, width, height, zoom),
    [x0, y0, x1, y1, width, height, zoom],
  );
  const pane = useRef<HTMLDivElement>(null);
  const settled = useRef(zoom);
  useLayoutEffect(() => {
    settled.current = zoom;
    svg.current?.style.removeProperty('transform');
  }, [zoom]);

  useEffect(() => {
    let gone = false;
    // Under the hand the drawing is only moved; it is drawn anew where it comes to rest.
    const moving = ({ k, x, y }: Zoom) => {
      const was = settled.current;
      const by = k / was.k;
      const moved = `translate(${x - by * was.x}px, ${y - by * was.y}px) scale(${by})`;
      svg.current?.style.setProperty('transform', moved);
    };
    const rests = (at: Zoom) => {
      const was = settled.current;
      if (at.k !== was.k || at.x !== was.x || at.y !== was.y) setZoom(at);
    };
    behaviour.current = import('./zoom.ts').then(({ zoomOn }) =>
      gone || !pane.current ? null : zoomOn(pane.current, moving, rests),
    );
    const own = behaviour.current;
    return () => {
      gone = true;
      void own.then((zoomer) => zoomer?.end());
    };
  }, []);

  const run = useCallback(
    (how: 'in' | 'out' | FitTo) => {
      if (how === 'dig' || how === 'plot') store.getState().look({ fitTo: how });
      // Pressed before it is there, it is done once it is.
      void behaviour.current?.then((zoomer) => {
        if (how === 'in' || how === 'out') zoomer?.by(how === 'in' ? 1.4 : 1 / 1.4);
        else zoomer?.fit();
      });
    },
    [store],
  );

  const [armed, setArmed] = useState<string | null>(null);
  const startDrag = (event: React.PointerEvent<SVGElement>, element: Element, point: number | null) => {
    if (event.button !== 0) return;
    // A finger that only passes over moves nothing: what it is on is picked first, then dragged.
    if (event.pointerType === 'touch' && store.getState().picked !== element.id) return;
    event.stopPropagation();
    store.getState().pick(element.id);
    held.current = box;
    setArmed(element.id);
    const world = (e: PointerEvent | React.PointerEvent) => worldAt(svg.current!, view, e);
    const from = world(event);
    const key = `drag:${element.id}:${point}:${event.timeStamp}`;
    const reach = REACH / view.scale;
    const move = (e: PointerEvent) => {
      const to = world(e);
      const dx = to[0] - from[0];
      const dy = to[1] - from[1];
      if (Math.hypot(dx, dy) * view.scale < 3 && store.getState().past.at(-1)?.key !== key) return;
      store.getState().edit((draft) => {
        const target = draft.elements.find((candidate) => candidate.id === element.id);
        if (!target) return;
        const now = store.getState().plan;
        const points = pointsOf(element);
        const was = points[point ?? 0]!;
        const anchor = point === null ? null : (points[point === 0 ? 1 : point - 1] ?? null);
        const landed = snapPoint(now, element.id, [was[0] + dx, was[1] + dy], anchor, reach, system);
        const moved = points.map((p, i) =>
          point === null
            ? ([round6(p[0] + landed[0] - was[0]), round6(p[1] + landed[1] - was[1])] as const)
            : i === point
              ? landed
              : p,
        );
        Object.assign(target, withPoints(target, moved));
      }, key);
    };
    trackPointer(event.currentTarget, event.pointerId, move, () => {
      held.current = null;
      setArmed(null);
      store.getState().settle();
    });
  };

  // One function for all that is drawn, whatever it does now: an element alike is not drawn again.
  const newest = useRef(startDrag);
  newest.current = startDrag;
  const onDown = useCallback<typeof startDrag>((...args) => newest.current(...args), []);
  const drawing = useMemo(() => drawnOrder(plan.elements), [plan.elements]);
  const [board] = useState(makeLabelBoard);

  const hold = (still: boolean) => {
    held.current = still ? box : null;
    setArmed(still ? '' : null);
  };

  const nudge = (event: React.KeyboardEvent) => {
    const step = system === 'metric' ? 0.05 : 0.0254;
    const move = arrowMove(event.key, step);
    if (event.key === '+' || event.key === '=') return run('in');
    if (event.key === '-') return run('out');
    if (event.key === 'f' || event.key === '0') return run('dig');
    if (event.key === 'p') return run('plot');
    if (!move || picked === null) return;
    event.preventDefault();
    const [dx, dy] = event.shiftKey ? [move[0] * 10, move[1] * 10] : move;
    store.getState().edit((draft) => {
      const target = draft.elements.find((candidate) => candidate.id === picked);
      if (target)
        Object.assign(
          target,
          withPoints(
            target,
            pointsOf(target).map(([x, y]) => [round6(x + dx), round6(y + dy)] as const),
          ),
        );
    }, `nudge:${picked}`);
  };

  const at = over ?? (pickedElement ? labelPlace(pickedElement) : null);
  const drawnOn = (on: PlanLayer['on']) =>
    wanted
      .filter((layer) => layer.on === on)
      .map(({ id, stage: of, Layer }) => (
        <Layer key={id} view={view} hold={hold} here={of === stage} at={on === 'beside' ? at : null} />
      ));
  const [dug, beside] = [drawnOn('dug'), drawnOn('beside')];

  return (
    <LabelsOf value={board}>
      <Box position="relative" h="full" minH={0}>
        <Flex direction="column" h="full" minH={0} as="section" aria-label={t('plan.title')}>
          <PlanHead fitTo={fitTo} counted={countText(t, plan.elements)} Tool={Tool} run={run} />
          <Box ref={frame} flex="1" minH={0} position="relative" overflow="hidden">
            <div ref={pane} className="plan-pane">
              <svg
                data-plan
                ref={svg}
                viewBox={`0 0 ${width} ${height}`}
                role="application"
                aria-label={`${countText(t, plan.elements)}. ${t('plan.help')}`}
                // biome-ignore lint/a11y/noNoninteractiveTabindex: the drawing takes the keyboard: arrows move what is picked
                tabIndex={0}
                style={{
                  width: '100%',
                  height: '100%',
                  position: 'absolute',
                  inset: 0,
                  touchAction: isFitted(zoom.k) ? 'pan-x pan-y' : 'none',
                  transformOrigin: '0 0',
                  willChange: 'transform',
                  cursor: placing ? 'crosshair' : armed !== null ? 'grabbing' : 'default',
                }}
                onKeyDown={nudge}
                onPointerMove={(event) =>
                  beside.length > 0 && svg.current && setOver(worldAt(svg.current, view, event))
                }
                onPointerLeave={() => setOver(null)}
                onClick={(event) => {
                  if (placing && svg.current) onPlace(worldAt(svg.current, view, event));
                  else if (event.target === svg.current) store.getState().pick(null);
                }}
              >
                <Hatches prefix="plan" soils={[]} />
                <Grid view={view} />
                {drawnOn('ground')}
                {dug.length > 0 ? (
                  <Suspense fallback={<Dug view={view} />}>{dug}</Suspense>
                ) : (
                  <Dug view={view} />
                )}
                {drawnOn('under')}
                {section && <CutMark view={view} section={section} />}
                <Halos view={view} elements={plan.elements} onDown={onDown} />
                {drawing.map(({ element, i }) => (
                  <Drawn
                    key={element.id}
                    element={element}
                    view={view}
                    picked={element.id === picked}
                    info={takeoff.elements[i]}
                    onDown={onDown}
                  />
                ))}
                <Suspense fallback={null}>
                  {takeoff.elements.map(
                    (info) => info.bays && <Bays key={info.id} view={view} info={info} />,
                  )}
                  {plan.elements
                    .flatMap((element) => drainOf(element) ?? [])
                    .map((element) => (
                      <Outlet key={element.id} view={view} element={element} />
                    ))}
                </Suspense>
                <Suspense fallback={null}>{drawnOn('over')}</Suspense>
                <PickedDimensions view={view} element={pickedElement} />
                <ElementNames view={view} elements={plan.elements} picked={picked} onDown={onDown} />
                <Labels view={view} first={picked} />
              </svg>
            </div>
            <Suspense fallback={null}>{beside}</Suspense>
            {placing && <PlacingBar />}
            {plan.elements.length === 0 && spoken && (
              <Flex position="absolute" inset={0} align="center" justify="center" pointerEvents="none">
                <Box
                  bg="sheet"
                  borderWidth="1px"
                  borderStyle="dashed"
                  borderColor="edge"
                  p={4}
                  maxW="24rem"
                  textAlign="center"
                >
                  {t('plan.empty')}
                </Box>
              </Flex>
            )}
          </Box>
        </Flex>
        <svg width={width} height={height} className="plan-still" aria-hidden>
          <Compass width={width} />
          <ScaleBar view={view} />
        </svg>
      </Box>
    </LabelsOf>
  );
}

/** Title and buttons of the plan: drawn again only when they change. */
const PlanHead = memo(function PlanHead({
  counted,
  fitTo,
  Tool,
  run,
}: {
  counted: string;
  fitTo: FitTo;
  Tool: ComponentType | undefined;
  run: (how: 'in' | 'out' | FitTo) => void;
}) {
  const { t } = useTranslation();
  return (
    <Flex justify="space-between" align="center" px={3} pt={1.5} gap={2}>
      <Heading>
        {t('plan.title')}
        <Box as="span" srOnly>{` · ${counted}`}</Box>
      </Heading>
      <Flex gap={1} className="no-print">
        {Tool && <Tool />}
        <Button size="sm" onClick={() => run('out')} aria-label={t('plan.zoomOut')}>
          −
        </Button>
        <Button size="sm" data-zoom="in" onClick={() => run('in')} aria-label={t('plan.zoomIn')}>
          +
        </Button>
        {(['dig', 'plot'] as const).map((to) => (
          <Button
            key={to}
            size="sm"
            data-fit={to}
            aria-pressed={fitTo === to}
            onClick={() => run(to)}
            aria-label={t(`plan.fit.${to}`)}
          >
            {t(`plan.fitShort.${to}`)}
          </Button>
        ))}
      </Flex>
    </Flex>
  );
});

/** Says what the next press on the plan does, and how to stop. */
function PlacingBar() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const placing = useDesk((desk) => desk.view.placing);
  if (!placing) return null;
  const key = placing.what === 'fence' && placing.from ? 'fenceTo' : placing.what;
  return (
    <PlanBar
      text={t(`placing.${key}`)}
      done={t('placing.done')}
      onDone={() => store.getState().look({ placing: null })}
      bg="chalkWash"
      edge="chalk"
    />
  );
}

const round6 = (value: number) => Math.round(value * 1e6) / 1e6;

/** Openings as one shape: outlines first, fills over them, so inner lines vanish. */
function Dug({ view }: { view: View }) {
  const { elements, solid } = useTakeoff();
  const outlines = elements
    .flatMap((e) => e.openings)
    .map((polygon) => polygonPath(view, polygon))
    .join('');
  const flats = flatsOf(solid)
    .map((area) => polygonPath(view, area))
    .join('');
  return (
    <g pointerEvents="none">
      <path d={outlines} fill="none" stroke={ink('earth')} strokeWidth={2} strokeLinejoin="round" />
      <path d={outlines} fill={ink('earth-wash')} />
      <path d={outlines} fill="url(#plan-batter)" />
      <path d={flats} fill={ink('earth-deep')} stroke={ink('earth-deep')} strokeWidth={0.6} />
    </g>
  );
}

/** What covers most first: slabs lie under the trenches that run through them. */
const drawnOrder = (elements: readonly Element[]) => {
  const all = elements.map((element, i) => ({ element, i }));
  return [
    ...all.filter(({ element }) => isOutlined(element)),
    ...all.filter(({ element }) => !isOutlined(element)),
  ];
};

/** Names of elements registered to be placed; a press on a name is one on its element. */
const ElementNames = memo(function ElementNames({
  view,
  elements,
  picked,
  onDown,
}: {
  view: View;
  elements: readonly Element[];
  picked: string | null;
  onDown: (event: React.PointerEvent<SVGElement>, element: Element, point: number | null) => void;
}) {
  const store = useDeskStore();
  const names = useMemo(
    () =>
      elementNames(
        elements,
        view,
        picked,
        (event, element) => onDown(event, element, null),
        (id) => store.getState().pick(id),
      ),
    [elements, view, picked, onDown, store],
  );
  useLabels('elements', names);
  return null;
});

/** What is smaller than a thumb on the plan is pressed beside it too; under all that is drawn. */
function Halos({
  view,
  elements,
  onDown,
}: {
  view: View;
  elements: readonly Element[];
  onDown: (event: React.PointerEvent<SVGElement>, element: Element, point: number | null) => void;
}) {
  const store = useDeskStore();
  const reach = useReach(0);
  if (reach === 0) return null;
  return elements.map(
    (element) =>
      !isRun(element) &&
      !isOutlined(element) && (
        // biome-ignore lint/a11y/noStaticElementInteractions: the pad itself takes the keyboard
        <circle
          key={element.id}
          data-halo={element.id}
          data-drag
          cx={view.x(element.at[0])}
          cy={view.y(element.at[1])}
          r={reach / 2}
          fill="transparent"
          onClick={() => store.getState().pick(element.id)}
          onPointerDown={(event) => onDown(event, element, null)}
        />
      ),
  );
}

const Drawn = memo(function Drawn({
  element,
  view,
  picked,
  info,
  onDown,
}: {
  element: Element;
  view: View;
  picked: boolean;
  /** Absent while a worker catches up. */
  info: ElementTakeoff | undefined;
  onDown: (event: React.PointerEvent<SVGElement>, element: Element, point: number | null) => void;
}) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const live = info?.live ?? false;
  const concrete = (info?.footings ?? []).map((piece) => polygonPath(view, piece.plan)).join('');
  const bottom = (info?.bottoms ?? []).map((polygon) => polygonPath(view, polygon)).join('');
  const axis = isRun(element)
    ? `${element.points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${view.x(x)} ${view.y(y)}`).join('')}${element.closed ? 'Z' : ''}`
    : isOutlined(element)
      ? polygonPath(view, element.outline.flat())
      : `M${view.x(element.at[0]) - 8} ${view.y(element.at[1])}h16M${view.x(element.at[0])} ${view.y(element.at[1]) - 8}v16`;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawn shape cannot be a button element
    <g
      data-drag
      data-element={element.id}
      style={{ cursor: 'grab', touchAction: picked ? 'none' : undefined }}
      role="button"
      tabIndex={0}
      aria-pressed={picked}
      aria-label={t('plan.pick', { name: element.name })}
      onClick={() => store.getState().pick(element.id)}
      onPointerDown={(event) => onDown(event, element, null)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          store.getState().pick(element.id);
        }
      }}
    >
      <path
        d={bottom}
        fill="transparent"
        stroke={picked ? ink('chalk') : live ? ink('earth') : ink('held')}
        strokeWidth={picked ? 2 : 0.8}
        strokeDasharray={live ? undefined : '4 3'}
      />
      <path d={concrete} fill="url(#plan-concrete)" />
      <path d={axis} fill="none" stroke={ink('chalk')} strokeWidth={1.2} strokeDasharray="12 4 2 4" />
      {picked &&
        (isRun(element) || isOutlined(element)) &&
        pointsOf(element).map(([x, y], i) => (
          <circle
            // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the run
            key={i}
            data-handle={i}
            cx={view.x(x)}
            cy={view.y(y)}
            r={7}
            fill={ink('sheet')}
            stroke={ink('chalk')}
            strokeWidth={2}
            onPointerDown={(event) => onDown(event, element, i)}
          />
        ))}
    </g>
  );
});
