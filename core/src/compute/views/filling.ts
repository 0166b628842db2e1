/**
 * Filling a hole again as a crew does it: stage by stage and side by side, in lifts that are laid, tested and released
 * like those of a bed; what each waits for; in what order they come. A view of plan, takeoff and the day.
 */
import {
  type FillLifts,
  type FillPart,
  type FillStop,
  fillLifts,
  fillParts,
  floorOver,
  floorUnderside,
  flowOf,
  gateOf,
  oneSidedOf,
  propped,
  sidedRooms,
  standsIn,
  stop,
  topsoilThickness,
  towardOf,
} from '../../backfill/index.ts';
import { type LiftTest, tested, USUAL_GRAINS } from '../../base/index.ts';
import { BED_MATERIALS } from '../../catalogue/index.ts';
import { at, cornerMean } from '../../geometry/index.ts';
import { type HeldJob, type Hold, holdsOf } from '../../holds/index.ts';
import { fillLift, fillLiftOf, type SiteRecord } from '../../log/index.ts';
import { historyOf, type Logged, type Placement, type Stand, standsOf } from '../../placement/index.ts';
import type { FillStage, Side } from '../../plan/kinds.ts';
import type { Plan } from '../../plan/schema.ts';
import { boxElementOf, runOf } from '../../plan/variants.ts';
import { waterToAdd } from '../../soil-tests/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import { compute } from '../pipeline/compute.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';

/** A lift of fill as something placed. */
export interface FillCard extends Placement, Stand {
  readonly element: string;
  readonly side: Side;
  /** Which way the side looks, a unit vector; null: all round, or round its bends. */
  readonly toward: readonly [number, number] | null;
  readonly part: FillStage;
  /** 1 the lowest of its stage on its side, of so many. */
  readonly lift: number;
  readonly count: number;
  /** m tamped, and as it is spread. */
  readonly thickness: number;
  readonly loose: number;
  readonly lifts: FillLifts;
  readonly tests: readonly LiftTest[];
  /** Water to add, kg; less than nought: it must dry. Null: not known. */
  readonly water: number | null;
  /** What it waits for now; none of one that is laid. */
  readonly stops: readonly FillStop[];
  /** It was filled before it was let, and nobody said why. */
  readonly unasked: boolean;
}

export interface StageFill {
  readonly stage: FillStage;
  /** Tamped, m³. */
  readonly volume: number;
  readonly bottom: number;
  readonly top: number;
}

export interface SideFill {
  readonly side: Side;
  readonly toward: FillCard['toward'];
  /** It lies under a floor. */
  readonly floor: boolean;
  readonly stages: readonly StageFill[];
  readonly cards: readonly FillCard[];
  /** Level its fill has come to. */
  readonly reached: number;
}

export interface ElementFill {
  readonly info: ElementTakeoff;
  readonly sides: readonly SideFill[];
  /** What all of its fill waits for. */
  readonly gate: readonly FillStop[];
  /** m the highest side stands over the lowest; and how much that may be. Null: no such rule here. */
  readonly apart: number | null;
  readonly most: number | null;
  /** The lift that comes next; null: nothing does, or all of it is done. */
  readonly next: FillCard | null;
}

export interface Filling {
  readonly parts: readonly FillPart[];
  /** Thickness topsoil lies back at, m. */
  readonly topsoil: number;
  /** Most of it packs like clay. */
  readonly cohesive: boolean;
  readonly elements: readonly ElementFill[];
}

/** Fill that packs like clay: most of what goes back is of a fine soil. */
function isCohesive({ backfill }: Plan, { spoil }: Takeoff): boolean {
  if (backfill.with === 'bringIn') return false;
  const most = spoil.strata
    .filter(({ soil }) => soil.typical.backfill !== 'topsoil')
    .reduce<(typeof spoil.strata)[number] | null>(
      (best, one) => (one.keptBank > 0 && (!best || one.keptBank > best.keptBank) ? one : best),
      null,
    );
  return most?.soil.typical.grain === 'fine';
}

/** What most of the fill is: its moisture against its optimum, its dry density tamped, how it loosens. */
function fillSoil(plan: Plan, { spoil }: Takeoff) {
  const { bringIn, target } = plan.backfill;
  const most = spoil.strata.reduce<number | null>((best, one, i) => {
    if (spoil.fits[i]!.use === 'topsoil' || one.keptBank <= 0) return best;
    return best === null || one.keptBank > spoil.strata[best]!.keptBank ? i : best;
  }, null);
  if (plan.backfill.with === 'bringIn' || most === null)
    return {
      said: null,
      dry: BED_MATERIALS[bringIn.material].density,
      loosens: (1 + bringIn.swell) / (1 - bringIn.shrink),
    };
  const { soil } = spoil.strata[most]!;
  return {
    said: plan.backfill.soils.find((own) => own.soil === soil.layer.id) ?? null,
    dry: target?.maximum ? target.maximum * target.share : soil.dryDensity / (1 - soil.shrink),
    loosens: (1 + soil.swell) / (1 - soil.shrink),
  };
}

/** Level the fill of an element begins at: over what lies on its bottom from face to face, at its lowest. */
function beginsAt({ solid, hole }: Takeoff, info: ElementTakeoff): number {
  const levels = solid.parts.flatMap((part, i) => {
    if (part.owner !== info.index || part.bottom.length < 6 || !part.fills) return [];
    const [x, y] = cornerMean(part.bottom);
    const over = (hole.taken.bands[i] ?? []).map(({ to }) => at(to, x, y));
    return [Math.max(at(part.floor, x, y), ...over)];
  });
  return levels.length > 0 ? Math.min(...levels) : info.dug;
}

/** m from a wall to the dug face, at a height over the bottom; null where no wall stands. */
function roomBeside(
  { dig }: Plan,
  { element, width, slope, support }: ElementTakeoff,
  height: number,
): number | null {
  if (!standsIn(element)) return null;
  const more = support === 'slope' ? slope * height : 0;
  const room = element.room ?? dig.room;
  if (boxElementOf(element) || !runOf(element)) return room + more;
  return Math.max(0, (width.dug - (element.rising?.thickness ?? 0)) / 2) + more;
}

interface Asked {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly job: HeldJob;
  readonly holds: readonly Hold[];
  readonly topsoil: number;
  readonly today: string;
}

/** Stages of a side with their levels, from below up. */
function stagesOn(
  { plan, takeoff, topsoil }: Asked,
  info: ElementTakeoff,
  side: Side,
  parts: readonly FillPart[],
): StageFill[] {
  const floor = floorUnderside(plan, info, takeoff.stacks);
  const ground = info.groundHigh;
  const begins = beginsAt(takeoff, info);
  const last = floorOver(plan, info, side) && floor !== null ? Math.min(floor, ground) : ground - topsoil;
  const tops: Readonly<Record<FillStage, number>> = {
    foot: Math.min(last, info.underside + info.element.thickness + (plan.backfill.surround?.over ?? 0)),
    toFloor: last,
    toTop: last,
    topsoil: ground,
    floorRoom: ground,
  };
  let bottom = begins;
  return parts
    .filter((part) => part.owner === info.index && part.side === side)
    .map(({ stage, volume }) => {
      const top = Math.max(bottom, tops[stage]);
      const own = { stage, volume, bottom, top };
      bottom = top;
      return own;
    });
}

/** Lifts of which nobody asked yet how they stand. */
type Plain = Omit<FillCard, keyof Stand | 'stops' | 'unasked'>;

function liftsOn(asked: Asked, info: ElementTakeoff, side: Side, stages: readonly StageFill[]): Plain[] {
  const { plan, takeoff, job } = asked;
  const { target } = plan.backfill;
  const soil = fillSoil(plan, takeoff);
  const out: Plain[] = [];
  for (const { stage, volume, bottom, top } of stages) {
    if (stage === 'floorRoom' || volume <= 0 || top - bottom < 1e-6) continue;
    const height = top - bottom;
    const soft = stage === 'foot' ? false : isCohesive(plan, takeoff);
    const lifts = fillLifts(plan, height, soft, roomBeside(plan, info, top - info.dug));
    // Topsoil is spread, not tamped: it lies as one.
    const count = stage === 'topsoil' ? 1 : lifts.count;
    const thickness = height / count;
    const area = volume / height;
    const asks = stage === 'toTop' || stage === 'toFloor' ? target : null;
    for (let lift = 1; lift <= count; lift++) {
      const name = fillLift({ stage, side, lift });
      const history = historyOf({ element: info.id, name }, job.facts);
      const begun = history.findIndex(({ kind }) => kind === 'laid');
      const laid = history[begun] as Logged<'laid'> | undefined;
      const moisture = laid?.value.moisture ?? soil.said?.moisture ?? null;
      const optimum = soil.said?.optimum ?? null;
      const under = out.at(-1)?.name;
      out.push({
        element: info.id,
        name,
        stage: 'backfill',
        side,
        toward: towardOf(info.element, side),
        part: stage,
        lift,
        count,
        thickness,
        loose: thickness * (stage === 'foot' ? BED_MATERIALS.clear.looseFactor : soil.loosens),
        lifts,
        bottom: bottom + (lift - 1) * thickness,
        top: bottom + lift * thickness,
        volume: volume / count,
        wanted: asks ? asks.points * Math.max(1, Math.ceil(area / asks.area - 1e-9)) : 0,
        covers: under === undefined ? [] : [under],
        tests: history.flatMap((event, k) =>
          event.kind === 'density'
            ? [
                tested(
                  event,
                  asks?.maximum ?? null,
                  asks?.share ?? null,
                  USUAL_GRAINS,
                  begun >= 0 && begun < k,
                ),
              ]
            : [],
        ),
        water:
          stage !== 'foot' && stage !== 'topsoil' && moisture !== null && optimum !== null
            ? waterToAdd(volume / count, soil.dry, moisture, optimum)
            : null,
      });
    }
  }
  return out;
}

/** How far the sides of an element may stand apart, m; null where none of that is asked. */
function mostApart({ plan, job }: Asked, info: ElementTakeoff, sides: readonly Side[]): number | null {
  if (sides.length < 2 || oneSidedOf(plan, info.id) !== null || propped(job, info.id)) return null;
  return plan.backfill.difference;
}

/** Level the laid lifts of a side have come to. */
const reachedBy = (cards: readonly (Plain & Stand)[], begins: number): number =>
  cards.reduce((level, { laid, top }) => (laid ? Math.max(level, top) : level), begins);

function elementFill(asked: Asked, info: ElementTakeoff, parts: readonly FillPart[]): ElementFill | null {
  const { plan, takeoff, job, holds, today } = asked;
  const sides = [...new Set(parts.filter(({ owner }) => owner === info.index).map(({ side }) => side))];
  if (!info.live || sides.length === 0) return null;
  const gate = gateOf(job, holds, info, today);
  const begins = beginsAt(takeoff, info);
  const said = oneSidedOf(plan, info.id);
  const most = mostApart(asked, info, sides);
  const lying = sides.map((side) => {
    const stages = stagesOn(asked, info, side, parts);
    const plain = liftsOn(asked, info, side, stages);
    const stands = standsOf(
      plain,
      job.facts,
      ({ tests }) =>
        (test) =>
          tests.find(({ record }) => record === test)?.passes ?? null,
    );
    const cards = plain.map((card, i) => ({ ...card, ...stands[i]! }));
    return { side, stages, cards, reached: reachedBy(cards, begins), top: stages.at(-1)?.top ?? begins };
  });
  const stopsOf = (card: Plain & Stand, side: Side): FillStop[] => {
    if (card.laid) return [];
    const out = [...gate];
    if (card.waits) out.push(stop('below', { role: 'competent' }));
    // A side that is finished lower, under a floor, is no reason to stop the other.
    const others = lying.filter((other) => other.side !== side && other.reached < other.top - 1e-6);
    const low = Math.min(...others.map(({ reached }) => reached));
    if (most !== null && others.length > 0 && card.top - low > most + 1e-6)
      out.push(stop('sides', { value: card.top - low, most }));
    if (said !== null && card.top - info.underside > said.height + 1e-6)
      out.push(stop('oneSided', { role: 'engineer', value: card.top - info.underside, most: said.height }));
    return out;
  };
  const done = lying.map(
    ({ side, stages, cards, reached }): SideFill => ({
      side,
      toward: towardOf(info.element, side),
      floor: floorOver(plan, info, side),
      stages,
      reached,
      cards: cards.map((card) => ({
        ...card,
        stops: stopsOf(card, side),
        unasked: card.laid !== null && gate.length > 0 && card.laid.value.despite === undefined,
      })),
    }),
  );
  const levels = lying.map(({ reached }) => reached);
  // Of what may come next the lowest: sides rise together.
  const next = done
    .flatMap(({ cards }) => cards.find(({ laid }) => laid === null) ?? [])
    .reduce<FillCard | null>(
      (best, card) => (best === null || card.bottom < best.bottom - 1e-9 ? card : best),
      null,
    );
  return {
    info,
    sides: done,
    gate,
    apart: sides.length > 1 ? Math.max(...levels) - Math.min(...levels) : null,
    most,
    next,
  };
}

/** Stages and sides of every hole alone, and how thick topsoil lies on them: what a file and a sheet count. */
export function fillStages(
  plan: Plan,
  takeoff: Pick<Takeoff, 'strips' | 'elements' | 'hole' | 'stacks' | 'spoil'>,
): Pick<Filling, 'parts' | 'topsoil'> {
  const hole = { solid: takeoff.strips.filled, elements: takeoff.elements, ...takeoff.hole };
  const rooms = sidedRooms({ hole });
  const asking = { plan, hole, stacks: takeoff.stacks };
  const topsoil = plan.backfill.topsoil ?? topsoilThickness(asking, takeoff.spoil.topsoilBack, rooms);
  return { parts: fillParts(asking, topsoil, rooms), topsoil };
}

/**
 * @param today the day it is asked, as on the job's calendar
 */
export function fillingOf(plan: Plan, takeoff: Takeoff, today: string): Filling {
  const job: HeldJob = { ...takeoff, plan };
  const { parts, topsoil } = fillStages(plan, takeoff);
  const asked: Asked = { plan, takeoff, job, holds: holdsOf(job), topsoil, today };
  return {
    parts,
    topsoil,
    cohesive: isCohesive(plan, takeoff),
    elements: takeoff.elements.flatMap((info) => elementFill(asked, info, parts) ?? []),
  };
}

/** A stage on a side with what it needs and what of that the job's own soil gives, m³. */
export interface StageRow {
  /** Null: what was taken out between openings. */
  readonly element: string | null;
  readonly side: Side;
  readonly stage: FillStage;
  /** What it is filled with; the room of a floor with nothing. */
  readonly with: 'stone' | 'soil' | 'topsoil' | 'nothing';
  readonly needed: number;
  readonly available: number;
  /** Of what is available, as it was dug and as it lies in the heap. */
  readonly bank: number;
  readonly loose: number;
  readonly broughtIn: number;
}

const FILLED_WITH = {
  foot: 'stone',
  toFloor: 'soil',
  toTop: 'soil',
  topsoil: 'topsoil',
  floorRoom: 'nothing',
} as const satisfies Record<FillStage, StageRow['with']>;

/** Every stage by side: what is short is short of each alike. */
export function stageRows(
  plan: Plan,
  takeoff: Pick<Takeoff, 'spoil' | 'strips' | 'soils' | 'broken' | 'elements'>,
  parts: readonly FillPart[],
): StageRow[] {
  const { streams } = flowOf(plan, takeoff);
  const total = (to: 'holes' | 'top', of: 'bank' | 'loose' | 'tamped') =>
    streams.reduce(
      (sum, stream) => (stream.to === to && typeof stream.from === 'object' ? sum + stream[of] : sum),
      0,
    );
  const needed = (what: StageRow['with']) =>
    parts.reduce((sum, { stage, volume }) => (FILLED_WITH[stage] === what ? sum + volume : sum), 0);
  const over = (part: number, whole: number) => (whole > 0 ? part / whole : 0);
  const share = {
    stone: { own: 0, bank: 0, loose: 0 },
    nothing: { own: 0, bank: 0, loose: 0 },
    soil: sharesOf('holes', needed('soil')),
    topsoil: sharesOf('top', needed('topsoil')),
  };
  function sharesOf(to: 'holes' | 'top', wanted: number) {
    const tamped = total(to, 'tamped');
    return {
      own: Math.min(1, over(tamped, wanted)),
      bank: over(total(to, 'bank'), tamped),
      loose: over(total(to, 'loose'), tamped),
    };
  }
  return parts.map(({ owner, side, stage, volume }): StageRow => {
    const what = FILLED_WITH[stage];
    const { own, bank, loose } = share[what];
    const available = volume * own;
    return {
      element: takeoff.elements[owner]?.id ?? null,
      side,
      stage,
      with: what,
      needed: volume,
      available,
      bank: available * bank,
      loose: available * loose,
      broughtIn: what === 'nothing' ? 0 : volume - available,
    };
  });
}

/** The lifts of an element in the order they come: of what may come next always the lowest, its sides in turn. */
export function inTurn({ sides }: ElementFill): readonly FillCard[] {
  return sides.flatMap(({ cards }) => cards).toSorted((p, q) => p.bottom - q.bottom || p.top - q.top);
}

/** Whether a record says that a lift of fill was laid, and nothing of why before it was let. */
export const fillsUnasked = (record: SiteRecord): boolean =>
  record.kind === 'laid' &&
  record.value !== null &&
  record.value.despite === undefined &&
  record.placement !== null &&
  fillLiftOf(record.placement) !== null;

/**
 * Ids of such records at which something still stopped the lift: it waits for a cure, a look, the lift below, the other
 * side. Each is asked before itself and whatever came after it in the list.
 * @param known what was logged already; @param sent what comes now, in order
 */
export function heldFills(
  plan: Plan,
  known: readonly SiteRecord[],
  sent: readonly SiteRecord[],
  today: string,
): string[] {
  return sent.flatMap((record, i) => {
    if (!fillsUnasked(record)) return [];
    const before = [...known, ...sent.slice(0, i)];
    const { elements } = fillingOf(plan, compute(plan, before), today);
    const card = elements
      .find(({ info }) => info.id === record.element)
      ?.sides.flatMap(({ cards }) => cards)
      .find(({ name }) => name === record.placement);
    return card && card.stops.length > 0 ? [record.id] : [];
  });
}
