/**
 * Every kind of record, by its name in files and rows. A new kind is its file here, its line below and its
 * words in the interface; the compiler names what is missing.
 */
import type { Static, TSchema } from 'typebox';
import type { Range } from '../../plan/fields.ts';
import type { Book, Checked, Fault, RecordKind, Said } from '../kind.ts';
import { arrived, arrivedValue } from './arrived.ts';
import { asked, askedValue } from './asked.ts';
import { bay, bayValue } from './bay.ts';
import { bottom, bottomValue } from './bottom.ts';
import { change, changeValue } from './change.ts';
import { checkShot, checkShotValue } from './check-shot.ts';
import { cone, coneValue } from './cone.ts';
import { delivered, deliveredValue } from './delivered.ts';
import { density, densityValue } from './density.ts';
import { dug, dugValue } from './dug.ts';
import { exposed, exposedValue } from './exposed.ts';
import { fell, fellValue } from './fell.ts';
import { frozen, frozenValue } from './frozen.ts';
import { handDug, handDugValue } from './hand-dug.ts';
import { handover, handoverValue } from './handover.ts';
import { happened, happenedValue } from './happened.ts';
import { hauled, hauledValue } from './hauled.ts';
import { heap, heapValue } from './heap.ts';
import { lab, labValue } from './lab.ts';
import { laid, laidValue } from './laid.ts';
import { leak, leakValue } from './leak.ts';
import { morning, morningValue } from './morning.ts';
import { note, noteValue } from './note.ts';
import { noticed, noticedValue } from './noticed.ts';
import { photo, photoValue } from './photo.ts';
import { poured, pouredValue } from './poured.ts';
import { pumped, pumpedValue } from './pumped.ts';
import { readied, readiedValue } from './readied.ts';
import { release, releaseValue } from './release.ts';
import { rework, reworkValue } from './rework.ts';
import { risingHead, risingHeadValue } from './rising-head.ts';
import { settled, settledValue } from './settled.ts';
import { setup, setupValue } from './setup.ts';
import { shot, shotValue } from './shot.ts';
import { stopped, stoppedValue } from './stopped.ts';
import { taped, tapedValue } from './taped.ts';
import { ticked, tickedValue } from './ticked.ts';
import { trial, trialValue } from './trial.ts';
import { visit, visitValue } from './visit.ts';
import { weather, weatherValue } from './weather.ts';
import { wetted, wettedValue } from './wetted.ts';
import { worked, workedValue } from './worked.ts';

const RECORD_KINDS = {
  dug,
  handDug,
  lab,
  trial,
  bottom,
  cone,
  risingHead,
  laid,
  density,
  rework,
  release,
  taped,
  frozen,
  exposed,
  setup,
  checkShot,
  shot,
  visit,
  asked,
  morning,
  happened,
  change,
  settled,
  ticked,
  readied,
  poured,
  wetted,
  leak,
  bay,
  worked,
  hauled,
  delivered,
  heap,
  arrived,
  pumped,
  weather,
  stopped,
  fell,
  noticed,
  photo,
  handover,
  note,
} as const;

/** What each holds, as it comes from outside. */
export const RECORD_VALUES = {
  dug: dugValue,
  handDug: handDugValue,
  lab: labValue,
  trial: trialValue,
  bottom: bottomValue,
  cone: coneValue,
  risingHead: risingHeadValue,
  laid: laidValue,
  density: densityValue,
  rework: reworkValue,
  release: releaseValue,
  taped: tapedValue,
  frozen: frozenValue,
  exposed: exposedValue,
  setup: setupValue,
  checkShot: checkShotValue,
  shot: shotValue,
  visit: visitValue,
  asked: askedValue,
  morning: morningValue,
  happened: happenedValue,
  change: changeValue,
  settled: settledValue,
  ticked: tickedValue,
  readied: readiedValue,
  poured: pouredValue,
  wetted: wettedValue,
  leak: leakValue,
  bay: bayValue,
  worked: workedValue,
  hauled: hauledValue,
  delivered: deliveredValue,
  heap: heapValue,
  arrived: arrivedValue,
  pumped: pumpedValue,
  weather: weatherValue,
  stopped: stoppedValue,
  fell: fellValue,
  noticed: noticedValue,
  photo: photoValue,
  handover: handoverValue,
  note: noteValue,
} as const satisfies { readonly [K in RecordKindId]: { readonly schema: TSchema } };

type Kinds = typeof RECORD_KINDS;
export type RecordKindId = keyof Kinds;
export const RECORD_KIND_IDS = Object.keys(RECORD_KINDS) as readonly RecordKindId[];
export type RecordValue<K extends RecordKindId> = Static<(typeof RECORD_VALUES)[K]['schema']>;
/** What the records of a kind amount to. */
export type Folded<K extends RecordKindId> = ReturnType<Kinds[K]['fold']>;
/** Keys of the words records are said in. */
export type RecordWord = WordsOf<ReturnType<Kinds[RecordKindId]['said']>>;
// One that uses none of its own says nothing here.
type WordsOf<S> = S extends readonly Said<infer K>[] ? (string extends K ? never : K) : never;
/** Kinds that hang on a placement. */
export type PlacedKindId = {
  [K in RecordKindId]: Kinds[K]['onPlacement'] extends true ? K : never;
}[RecordKindId];

/** Kinds that stand in a book. */
export type BookedKindId<B extends Book> = {
  [K in RecordKindId]: Kinds[K] extends { readonly book: B } ? K : never;
}[RecordKindId];

/** A row of the table whichever it is, for what goes over all of them. */
export const recordKindOf = (
  kind: RecordKindId,
): RecordKind<unknown, unknown, RecordWord, boolean, Record<string, Range>> & { readonly book?: Book } =>
  RECORD_KINDS[kind] as never;

/** What contradicts itself in a record's value beyond its schema. */
export const faultOf = <K extends RecordKindId>(kind: K, value: RecordValue<K>): Fault | null =>
  (RECORD_VALUES[kind].fault as Checked<TSchema>['fault'])(value);

type Together<U> = (U extends unknown ? (one: U) => void : never) extends (all: infer I) => void ? I : never;
/** Numbers records hold: what may be typed. */
export const MEASURES = Object.assign(
  {},
  ...RECORD_KIND_IDS.map((kind) => RECORD_KINDS[kind].measures),
) as Together<Kinds[RecordKindId]['measures']>;
