/**
 * How placements stand by their histories. Only one whose tests pass is let be covered; a named person may let
 * another be covered all the same, with a reason that is kept.
 */
import { type Facts, type PlacedRecord, placementKey } from '../log/index.ts';
import { type Logged, mayCover, type Placement, type PlacementState, type Stand } from './placement.ts';

/** What a test of a placement says: passed, failed, or null where it says nothing. */
export type Verdict = (test: Logged<'density'>) => boolean | null;

export const historyOf = (
  { element, name }: Pick<Placement, 'element' | 'name'>,
  { histories }: Pick<Facts, 'histories'>,
): readonly PlacedRecord[] => histories.get(placementKey(element, name)) ?? [];

/** Where a placement stands. @param history in the order of time */
function stateOf(history: readonly PlacedRecord[], wanted: number, verdict: Verdict): PlacementState {
  let state: PlacementState = 'toCome';
  let passed = 0;
  for (const event of history) {
    if (event.kind === 'laid' && state === 'toCome') state = 'placed';
    else if (event.kind === 'density') {
      const passes = verdict(event);
      if (passes === null) continue;
      // One that fails is not outvoted: it is reworked and tested again.
      if (!passes) state = 'failed';
      else if (state !== 'failed') {
        passed++;
        if (passed >= wanted && !mayCover(state)) state = 'passed';
      }
    } else if (event.kind === 'rework' && state !== 'toCome') {
      passed = 0;
      state = 'reworked';
    } else if (event.kind === 'release' && state !== 'toCome') {
      const free = state === 'passed' || (wanted === 0 && state === 'placed');
      if (free) state = 'released';
      else if (event.value.reason.trim() !== '') state = 'overridden';
    }
  }
  return state;
}

/**
 * How each stands, in the order given.
 * @param placements of one element, the lower before what lies on them
 * @param verdictOf what tests of each say
 */
export function standsOf<P extends Placement>(
  placements: readonly P[],
  facts: Pick<Facts, 'histories'>,
  verdictOf: (placement: P) => Verdict,
): Stand[] {
  const histories = placements.map((one) => historyOf(one, facts));
  const states = placements.map((one, i) => stateOf(histories[i]!, one.wanted, verdictOf(one)));
  const stateOfName = new Map(placements.map(({ name }, i) => [name, states[i]!]));
  const placed = placements.filter((_, i) => states[i] !== 'toCome');
  const covered = new Set(placed.flatMap(({ covers }) => covers));
  return placements.map(({ name, covers }, i): Stand => {
    const of = <K extends PlacedRecord['kind']>(kind: K) =>
      histories[i]!.filter((event): event is Logged<K> => event.kind === kind);
    return {
      state: states[i]!,
      laid: of('laid')[0] ?? null,
      release: of('release').at(-1) ?? null,
      covered: covered.has(name),
      waits: covers.some((under) => !mayCover(stateOfName.get(under) ?? 'toCome')),
    };
  });
}
