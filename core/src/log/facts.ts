/** Records folded into what is known: corrections in, what was withdrawn out. */

import { standing } from './causal-order.ts';
import type { RecordKindId, RecordValue, SiteRecord } from './kinds.ts';

export interface Facts {
  /** Days of each machine, by its id, in the order they were logged. */
  readonly dug: ReadonlyMap<string, readonly RecordValue<'dug'>[]>;
  /** What people dug, in the order it was logged. */
  readonly handDug: readonly RecordValue<'handDug'>[];
  /** Laboratory tests and trials of layers, by `bed/layer`: the newest test, every trial. */
  readonly lab: ReadonlyMap<string, RecordValue<'lab'>>;
  readonly trials: ReadonlyMap<string, readonly RecordValue<'trial'>[]>;
  /** Bottoms as they were last found, by element. */
  readonly bottoms: ReadonlyMap<string, RecordValue<'bottom'>>;
  /** Dynamic cones driven, by element, in the order of time. */
  readonly cones: ReadonlyMap<string, readonly RecordValue<'cone'>[]>;
  /** The last recharge test, by element; of the whole job under ''. */
  readonly risingHead: ReadonlyMap<string, RecordValue<'recharge'>>;
  /** The history of each lift, in the order of time, by `element/bed/layer/lift`. */
  readonly lifts: ReadonlyMap<string, readonly LiftRecord[]>;
  /** The last distance taped between two corners, whichever way round. */
  readonly taped: readonly RecordValue<'taped'>[];
  /** How deep the ground was last found frozen; null when nobody looked, or it thawed. */
  readonly frozen: RecordValue<'frozen'> | null;
  /** Buried services laid bare, by hazard. */
  readonly exposed: ReadonlySet<string>;
}

/** What is logged of one lift. */
export type LiftRecord = Extract<SiteRecord, { kind: 'laid' | 'density' | 'rework' | 'release' }>;

/** Names a lift in the facts. */
export const liftKey = (
  element: string,
  { bed, layer, lift }: { readonly bed: string; readonly layer: string; readonly lift: number },
): string => `${element}/${bed}/${layer}/${lift}`;
export const layerKey = (bed: string, layer: string): string => `${bed}/${layer}`;

const isOfLift = (record: SiteRecord): record is LiftRecord =>
  record.element !== null &&
  record.value !== null &&
  (record.kind === 'laid' ||
    record.kind === 'density' ||
    record.kind === 'rework' ||
    record.kind === 'release');

/** A list parted by a key, each part in the list's order. */
function grouped<T>(list: readonly T[], keyOf: (one: T) => string): Map<string, T[]> {
  const out = new Map<string, T[]>();
  for (const one of list) {
    const key = keyOf(one);
    const known = out.get(key);
    if (known) known.push(one);
    else out.set(key, [one]);
  }
  return out;
}

type Valued<K extends RecordKindId> = Extract<SiteRecord, { kind: K }>;
const valuesOf = <K extends RecordKindId>(records: readonly SiteRecord[], kind: K): RecordValue<K>[] =>
  records.flatMap((record) =>
    record.kind === kind && record.value !== null ? [(record as Valued<K>).value as RecordValue<K>] : [],
  );

export const NO_RECORDS: readonly SiteRecord[] = [];
const folded = new WeakMap<readonly SiteRecord[], Facts>();

/** What some records say together. The same list gives the same object. */
export function factsOf(records: readonly SiteRecord[]): Facts {
  const known = folded.get(records);
  if (known) return known;
  const stand = standing(records);
  const taped = new Map<string, RecordValue<'taped'>>();
  for (const line of valuesOf(stand, 'taped')) taped.set([line.from, line.to].sort().join('\n'), line);
  const exposed = new Set<string>();
  for (const { hazard, bare } of valuesOf(stand, 'laidBare')) {
    if (bare) exposed.add(hazard);
    else exposed.delete(hazard);
  }
  const lab = new Map<string, RecordValue<'lab'>>();
  for (const test of valuesOf(stand, 'lab')) lab.set(layerKey(test.bed, test.layer), test);
  const bottoms = new Map<string, RecordValue<'bottom'>>();
  for (const { kind, element, value } of stand)
    if (kind === 'bottom' && element !== null && value !== null) bottoms.set(element, value);
  const risingHead = new Map<string, RecordValue<'recharge'>>();
  for (const { kind, element, value } of stand)
    if (kind === 'recharge' && value !== null) risingHead.set(element ?? '', value);
  const cones = new Map<string, RecordValue<'cone'>[]>();
  for (const { kind, element, value } of stand)
    if (kind === 'cone' && element !== null && value !== null)
      cones.set(element, [...(cones.get(element) ?? []), value]);
  const frozen = valuesOf(stand, 'frozen').at(-1) ?? null;
  const facts: Facts = {
    dug: grouped(valuesOf(stand, 'dug'), (day) => day.machine),
    handDug: valuesOf(stand, 'handDug'),
    lab,
    trials: grouped(valuesOf(stand, 'trial'), ({ bed, layer }) => layerKey(bed, layer)),
    bottoms,
    cones,
    risingHead,
    lifts: grouped(stand.filter(isOfLift), ({ element, value }) => liftKey(element!, value!)),
    taped: [...taped.values()],
    frozen: frozen && frozen.depth > 0 ? frozen : null,
    exposed,
  };
  folded.set(records, facts);
  return facts;
}
