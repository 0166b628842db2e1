/** The staff: a levelling rod with flags at the levels that matter. Typed ones can be dragged. */
import {
  decimalSign,
  type Element,
  FIELDS,
  type FieldId,
  floorOf,
  type GroundModel,
  outOfRange,
  type Plan,
  postAt,
  type Section,
  stringFor,
  type Takeoff,
} from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { type Draft, useDeskStore } from '../state/store.ts';
import { groundAtFirstLog } from '../state/takeoff.ts';
import { useFormat } from '../ui/format.tsx';
import { ink } from './hatches.tsx';
import { dragDepth } from './pointer.ts';
import { spread } from './spread.ts';
import { KEY_STEPS, useNudge } from './useNudge.ts';
import { THUMB } from './useReach.ts';

interface Shape {
  /** Room the staff takes, px. */
  readonly width: number;
  readonly rod: { readonly x: number; readonly width: number };
  readonly flag: { readonly x: number; readonly width: number; readonly height: number };
  /** How high a flag is to be taken hold of, px. */
  readonly reach: number;
}

/** Drawings narrower than this are on a phone: the words want the room more than the picture, px. */
export const SLIM = 440;

/** The staff is narrower on a phone. */
export const staffShape = (room: number): Shape =>
  room < SLIM
    ? { width: 156, rod: { x: 2, width: 36 }, flag: { x: 50, width: 105, height: 18 }, reach: THUMB }
    : { width: 176, rod: { x: 8, width: 44 }, flag: { x: 66, width: 108, height: 18 }, reach: 20 };

/** What a flag stands for. */
const flagText = (t: Say, { name, built }: Flag): string =>
  name === 'footing' ? t(`built.${built ?? 'footing'}`) : t(`staff.${name}`);

interface Flag {
  readonly name:
    | 'string'
    | 'floor'
    | 'ground'
    | 'frost'
    | 'footing'
    | 'word'
    | 'water'
    | 'formation'
    | 'hold';
  /** What stands there, where that is no plain footing. */
  readonly built?: Takeoff['elements'][number]['built'];
  readonly level: number;
  readonly colour: string;
  /** Puts a dragged level into the plan; absent when the level is computed. */
  readonly set?: (draft: Draft, level: number) => void;
  readonly range?: FieldId;
  /** Where its limits are, when they are not those of its field as they stand. */
  readonly limits?: readonly [low: number, high: number];
}

/** Lowest and highest level a flag may come to. */
function limitsOf({ range, limits }: Flag): readonly [number, number] {
  if (limits) return limits;
  const { min, max } = FIELDS[range ?? '/levels/string'];
  return [min, max];
}

/** The string an element is measured from; dragged, it is that one that moves. */
function stringFlag(plan: Plan, element: Element | undefined): Flag {
  const { id, level } = element ? stringFor(plan, element) : { id: null, level: plan.levels.string };
  return {
    name: 'string',
    level,
    colour: ink('chalk'),
    range: '/levels/string',
    set: (draft, to) => {
      const own = draft.levels.strings.find((string) => string.id === id);
      if (own) own.level = to;
      else draft.levels.string = to;
    },
  };
}

/** The flags of one element's section, from its plan and takeoff. */
export function flagsFor(
  plan: Plan,
  takeoff: Takeoff,
  model: GroundModel,
  element: Element | undefined,
  section: Section | null,
): Flag[] {
  const info = takeoff.elements.find((e) => e.id === element?.id);
  const middle = section ? postAt(section.posts, 0) : null;
  const flags: Flag[] = [
    stringFlag(plan, element),
    { name: 'ground', level: middle?.ground ?? groundAtFirstLog(plan, model), colour: ink('note') },
  ];
  // The floor an element carries; one counted over another is moved by its own height.
  const floor = element ? floorOf(plan, element) : (plan.levels.floors[0] ?? null);
  const stack = takeoff.stacks.find((s) => s.floor.id === floor?.id);
  if (stack) {
    const { id, level: own } = stack.floor;
    flags.push({
      name: 'floor',
      level: stack.level,
      colour: ink('ink'),
      range: '/levels/floors/*/level',
      set: (draft, level) => {
        const target = draft.levels.floors.find((f) => f.id === id);
        // From where it stood when this was drawn: a drag tells how far it has come in all, many times.
        if (target) target.level = own + (level - stack.level);
      },
    });
  }
  const { depth } = takeoff.frost;
  if (depth !== null && info) {
    const low = info.groundLow;
    flags.push({
      name: 'frost',
      level: low - depth,
      colour: ink('chalk'),
      range: '/ground/frost/local',
      limits: [low - FIELDS['/ground/frost/local'].max, low - FIELDS['/ground/frost/local'].min],
      ...(takeoff.frost.governs === 'local' && {
        set: (draft: Draft, level: number) => {
          draft.ground.frost.local = low - level;
        },
      }),
    });
  }
  if (info?.live) {
    const word = plan.levels.instructions.find((w) => w.id === info.decision?.instruction);
    flags.push(
      {
        name: word ? 'word' : 'footing',
        built: info.built,
        level: info.underside,
        colour: word ? ink('held') : ink('placed'),
        ...(word && {
          range: '/levels/instructions/*/level',
          set: (draft: Draft, level: number) => {
            const target = draft.levels.instructions.find((w) => w.id === word.id);
            if (target) target.level = level;
          },
        }),
      },
      { name: 'formation', level: info.formation, colour: ink('earth') },
    );
    const pit = takeoff.holes.find((p) => p.elements.some((i) => plan.elements[i]?.id === info.id));
    if (pit) flags.push({ name: 'hold', level: pit.holdLevel, colour: ink('water') });
  }
  const water = middle?.water ?? model.water(...(plan.ground.logs[0]?.at ?? ([0, 0] as const)));
  if (water !== null)
    flags.push({
      name: 'water',
      level: water,
      colour: ink('water'),
      ...(takeoff.water.from === 'typed' && {
        range: '/ground/water' as const,
        set: (draft: Draft, level: number) => {
          draft.ground.water = level;
        },
      }),
    });
  return flags;
}

/** Levels snap to 10 mm, or half an inch. */
const tidy = (level: number, metric: boolean) => {
  const step = metric ? 0.01 : 0.0127;
  return Math.round(Math.round(level / step) * step * 1e6) / 1e6;
};

export function Staff({
  flags,
  y,
  level,
  height,
  shape,
}: {
  shape: Shape;
  flags: readonly Flag[];
  y: (level: number) => number;
  level: (y: number) => number;
  height: number;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const nudge = useNudge();
  const metric = format.system === 'metric';
  const commit = (flag: Flag, next: number, key: string) => {
    const { set, range } = flag;
    if (!set || !range) return;
    const snapped = tidy(next, metric);
    store.getState().edit((draft) => {
      const before = structuredClone({ w: draft.ground.water, l: draft.ground.frost.local });
      set(draft, snapped);
      // A depth dragged above its own ground is not a depth.
      const { local } = draft.ground.frost;
      if (flag.name === 'frost' && (local === null || outOfRange(FIELDS['/ground/frost/local'], local)))
        draft.ground.frost.local = before.l;
    }, key);
  };
  const grab = (event: React.PointerEvent<SVGGElement>, flag: Flag) => {
    if (!flag.set) return;
    const perUnit = (level(100) - level(0)) / 100;
    const key = `flag:${flag.name}:${event.timeStamp}`;
    dragDepth(
      event,
      height,
      (units) => commit(flag, flag.level + units * perUnit, key),
      store.getState().settle,
    );
  };
  // Under a thumb they stand a thumb apart, as far as there is room.
  const reach = Math.max(shape.flag.height + 2, Math.min(shape.reach, (height - 24) / flags.length));
  const placed = spread(
    flags.map((flag) => ({ item: flag, at: y(flag.level) })),
    reach,
    12,
    height - 12,
  );
  return (
    <g>
      <Rod y={y} level={level} height={height} rod={shape.rod} />
      {placed.map(({ item: flag, at, drawn }) => {
        const movable = flag.set !== undefined;
        return (
          // biome-ignore lint/a11y/noStaticElementInteractions: a slider when its level is typed; still otherwise
          <g
            key={flag.name}
            data-flag={flag.name}
            {...(movable && {
              role: 'slider',
              tabIndex: 0,
              'aria-label': flagText(t, flag),
              'aria-orientation': 'vertical' as const,
              'aria-valuenow': flag.level,
              'aria-valuemin': limitsOf(flag)[0],
              'aria-valuemax': limitsOf(flag)[1],
              'aria-valuetext': format.text(flag.level, 'level'),
              style: { cursor: 'ns-resize', touchAction: 'none' },
            })}
            onPointerDown={(event) => grab(event, flag)}
            onKeyDown={(event) => {
              const way = KEY_STEPS[event.key] ?? 0;
              if (way === 0 || !movable) return;
              event.preventDefault();
              nudge(flag.name, flag.level, way * (metric ? 0.01 : 0.0127), (level) =>
                commit(flag, level, `flag:${flag.name}`),
              );
            }}
          >
            <path
              d={`M${shape.rod.x + shape.rod.width} ${at}L${shape.flag.x} ${drawn}`}
              stroke={flag.colour}
              strokeWidth={1.2}
              fill="none"
            />
            {/* Room for a finger: the flag itself is lower than one is wide. */}
            {movable && (
              <rect
                x={shape.flag.x - 6}
                y={drawn - reach / 2}
                width={shape.flag.width + 6}
                height={reach}
                fill="transparent"
              />
            )}
            <path
              d={`M${shape.flag.x - 6} ${drawn}l6 ${-shape.flag.height / 2}h${shape.flag.width}v${shape.flag.height}h${-shape.flag.width}z`}
              fill={movable ? flag.colour : ink('sheet')}
              stroke={flag.colour}
              strokeWidth={1.4}
            />
            <text
              x={shape.flag.x + 2}
              y={drawn + 4.5}
              fill={movable ? ink('sheet') : flag.colour}
              // Feet, inches and fractions take more of the flag: its word makes room.
              style={{ fontFamily: 'Barlow', fontWeight: 500, fontSize: metric ? 12 : 11 }}
            >
              {flagText(t, flag)}
            </text>
            <text
              x={shape.flag.x + shape.flag.width - 5}
              y={drawn + 5}
              textAnchor="end"
              fill={movable ? ink('sheet') : flag.colour}
              style={{ fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: metric ? 14 : 13 }}
            >
              {format.text(flag.level, 'level').replace(/\u00a0m$/, '')}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** Numbers on the rod nearer than this are one too many, px. */
const CLOSE = 90;

/** The rod: a graduation every 0.1 m (or 3 in), numbered at the half metre (or foot). */
function Rod({
  y,
  level,
  height,
  rod,
}: {
  rod: Shape['rod'];
  y: (level: number) => number;
  level: (y: number) => number;
  height: number;
}) {
  const format = useFormat();
  const metric = format.system === 'metric';
  const step = metric ? 0.1 : 0.0762;
  const per = metric ? 5 : 4;
  // Numbers stand a thumb's width apart at least, else every other one is left out.
  const numbered = Math.abs(y(per * step) - y(0)) >= CLOSE ? per : 2 * per;
  const from = Math.ceil(level(height) / step);
  const to = Math.floor(level(0) / step);
  const marks = to - from < 400 ? Array.from({ length: to - from + 1 }, (_, i) => from + i) : [];
  return (
    <g pointerEvents="none">
      <rect x={rod.x} y={0} width={rod.width} height={height} fill={ink('sheet')} stroke={ink('ink')} />
      {marks.map((n) => {
        const at = y(n * step);
        const major = n % per === 0;
        return (
          <g key={n}>
            <path
              d={`M${rod.x} ${at}h${major ? 14 : 7}`}
              stroke={ink('ink')}
              strokeWidth={major ? 1.3 : 0.8}
            />
            {n % numbered === 0 && at > 8 && at < height - 6 && (
              <text
                x={rod.x + rod.width - 3}
                y={at + 4}
                textAnchor="end"
                fill={ink('ink')}
                style={{ fontFamily: 'Barlow Condensed', fontWeight: 500, fontSize: 12 }}
              >
                {metric
                  ? (n * step).toFixed(1).replace('.', decimalSign(format.lang))
                  : `${Math.round((n * step) / 0.3048)}'`}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
