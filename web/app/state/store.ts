/**
 * The desk's state: the plan being edited, what can be undone, what is picked, and how saving
 * goes. A change is a set of patches with their inverse (immer), so undo is exact.
 */

import {
  type Cause,
  mergePlans,
  type Plan,
  type Problem,
  type SiteRecord,
  settled,
  wholeValue,
} from '@cimiento/core';
import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer';
import { createContext, useContext } from 'react';
import { createStore, type StoreApi, useStore } from 'zustand';
import type { Picture } from '../outbox/outbox.ts';
import type { Refused } from '../outbox/sender.ts';
import type { Sent } from './readKept.ts';
import type { Worked } from './reckoner.ts';
import type { Stage } from './stages.ts';

enablePatches();

interface Step {
  readonly forward: Patch[];
  readonly back: Patch[];
  /** Edits with one key in one gesture make one step. */
  readonly key: string | null;
}

export interface Conflict {
  readonly revision: number;
  readonly plan: Plan;
  readonly by: string | null;
}

export type Saving =
  | { readonly state: 'saved' | 'unsaved' | 'saving' | 'signedOut' | 'gone' }
  | { readonly state: 'waiting'; readonly tries: number }
  | { readonly state: 'refused'; readonly problems: readonly Problem[] }
  | { readonly state: 'failed'; readonly code: 'badRequest' | 'forbidden' | 'tooLarge' | 'broken' }
  | { readonly state: 'conflict'; readonly conflict: Conflict };

/** Drawings that may stand under the plan. */
export type Lower =
  | 'bed'
  | 'proof'
  | 'section'
  | 'pit'
  | 'fence'
  | 'frost'
  | 'stack'
  | 'long'
  | 'checks'
  | 'boards'
  | 'order'
  | 'trucks'
  | 'piles'
  | 'night'
  | 'flow'
  | 'placing';
type Place = readonly [number, number];

/** What the next press on the plan puts there. */
export type Placing =
  | { readonly what: 'log' | 'spot' | 'gate' | 'boundary' | 'surface' | 'letOff' }
  | { readonly what: 'hazard' | 'area' | 'path' | 'ditch' | 'sump' | 'drained'; readonly id: string }
  | { readonly what: 'fence'; readonly from: Place | null };

/** What of the dig can be hatched. */
export type Hatched = 'neat' | Cause;

/** What a drawing is fitted to: the dig, or all of the plot with what lies about. */
export type FitTo = 'dig' | 'plot';

/** Where a person is looking, beside the element picked and the stage. */
export interface ViewState {
  readonly log: string | null;
  readonly hazard: string | null;
  /** Lay-down area, way or soft spot picked. */
  readonly area: string | null;
  /** What the plan is fitted to. */
  readonly fitTo: FitTo;
  /** The plan shows how deep it is everywhere. */
  readonly depths: boolean;
  /** Cause of over-dig that is hatched on the drawings; null: none. */
  readonly hatched: Hatched | null;
  /** How far the order of digging is played: so many steps done. */
  readonly played: number;
  /** How far a night is played: so many quarters of an hour of it; 0: not. */
  readonly hour: number;
  /** How far the fill is played: so many lifts laid; 0: as it was logged. */
  readonly filled: number;
  /** The pour that is looked at as it is placed, and how far it is played: so many places; 0: all. */
  readonly pour: string | null;
  readonly poured: number;
  /** Levels water stands at while a night is played, by element; null: as the ground has it. */
  readonly flood: Readonly<Record<string, number>> | null;
  /** The drawing chosen, by stage. */
  readonly lower: Partial<Record<Stage, Lower>>;
  readonly fence: readonly [Place, Place] | null;
  readonly placing: Placing | null;
}

export interface Desk {
  readonly plan: Plan;
  readonly worked: Worked;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** What the server holds, and under which number. */
  readonly base: { readonly revision: number; readonly plan: Plan };
  readonly saving: Saving;
  /** False when this browser has no room to keep an edit that is not saved. */
  readonly kept: boolean;
  /** Saves without an answer: what the server has may be one of them. */
  readonly sent: readonly Sent[];
  /** What was logged on the job, by anybody; not part of the plan, and no undo touches it. */
  readonly records: readonly SiteRecord[];
  /** Ids of those the server has not got yet. */
  readonly unsent: readonly string[];
  /** Those the server would not have, with why. */
  readonly refused: readonly Refused[];
  /** Ids of those this browser has no room to keep. */
  readonly unkept: readonly string[];
  /** What is shown may be as old as this, ms since 1970; null while the server tells what happens. */
  readonly asOf: number | null;
  /** The server has it of a newer program than this page's. */
  readonly outgrown: boolean;
  /** Up to which the records were heard of the server since the page came; null: no farther than it brought. */
  readonly heard: number | null;
  /** Takes a record in and sends it; does nothing before the page is up. */
  deliver(record: SiteRecord, picture?: Picture): void;
  /** Tries once more what was refused. */
  retry(): void;
  /** Id of the picked element. */
  readonly picked: string | null;
  readonly stage: Stage;
  readonly view: ViewState;
  edit(recipe: (plan: Draft) => void, key?: string): void;
  /** Ends a run of edits that share a key: what follows is a new step. */
  settle(): void;
  undo(): void;
  redo(): void;
  pick(id: string | null): void;
  go(stage: Stage): void;
  /** Turns to a log, a hazard, another drawing; nothing of it is part of the plan. */
  look(at: Partial<ViewState>): void;
  /** Replaces the plan as one undoable step: a merge, or an old revision brought back. */
  replace(plan: Plan): void;
  /** Shows a newer revision somebody else saved; nothing is typed here. What can be undone is put on top of it. */
  refresh(revision: number, plan: Plan): void;
}

/** The plan with its readonly marks off, for recipes. */
export type Draft = { -readonly [K in keyof Plan]: Plan[K] };

/** Somebody says that an assumption is so. */
export const settle = (draft: Draft, pointer: string): void => {
  draft.assumed = draft.assumed.filter((one) => one !== pointer);
};
export type DeskStore = StoreApi<Desk>;

const MOST_STEPS = 300;
/** The edit that puts a whole plan in place of another. */
const REPLACED = 'replaced';

/** The top fields of a plan that an edit changed. */
const changedFields = (before: Plan, after: Plan): Partial<Plan> =>
  Object.fromEntries(
    Object.entries(after).filter(([key, value]) => value !== before[key as keyof Plan]),
  ) as Partial<Plan>;

export function makeDesk(plan: Plan, revision: number, records: readonly SiteRecord[] = []): DeskStore {
  return createStore<Desk>((set, get) => ({
    plan,
    worked: { plan, records, takeoff: null, calledOff: false },
    past: [],
    future: [],
    base: { revision, plan },
    saving: { state: 'saved' },
    kept: true,
    sent: [],
    records,
    unsent: [],
    refused: [],
    unkept: [],
    asOf: null,
    heard: null,
    outgrown: false,
    deliver: () => {},
    retry: () => {},
    picked: plan.elements[0]?.id ?? null,
    stage: 'dig',
    view: {
      log: plan.ground.logs[0]?.id ?? null,
      hazard: null,
      area: null,
      fitTo: 'dig',
      depths: false,
      hatched: null,
      played: 0,
      hour: 0,
      filled: 0,
      pour: null,
      poured: 0,
      flood: null,
      lower: {},
      fence: null,
      placing: null,
    },
    edit(recipe, key) {
      const before = get().plan;
      let [next, forward, back] = produceWithPatches(before, recipe as (draft: Plan) => void);
      // Whatever was typed, pasted or read in, the plan holds whole characters only; and what was
      // touched is no longer assumed.
      // A whole plan put in place brings what it assumes along.
      const assumed = key === REPLACED ? next.assumed : settled(before, next);
      const broken = forward.some((patch) => wholeValue(patch.value) !== patch.value);
      if (broken || assumed.length < next.assumed.length) {
        const whole = { ...wholeValue(next), assumed: [...assumed] };
        [next, forward, back] = produceWithPatches(before, (draft) => {
          Object.assign(draft, changedFields(before, whole));
        });
      }
      if (forward.length === 0) return;
      const { past } = get();
      const last = past[past.length - 1];
      const joined =
        key !== undefined && last?.key === key
          ? [
              ...past.slice(0, -1),
              { forward: [...last.forward, ...forward], back: [...back, ...last.back], key },
            ]
          : [...past, { forward, back, key: key ?? null }];
      set({ plan: next, past: joined.slice(-MOST_STEPS), future: [] });
    },
    settle() {
      const { past } = get();
      const last = past[past.length - 1];
      if (last && last.key !== null) set({ past: [...past.slice(0, -1), { ...last, key: null }] });
    },
    undo() {
      const { past, future, plan: now } = get();
      const step = past[past.length - 1];
      if (step)
        set({
          plan: applyPatches(now, step.back),
          past: past.slice(0, -1),
          future: [...future, { ...step, key: null }],
        });
    },
    redo() {
      const { past, future, plan: now } = get();
      const step = future[future.length - 1];
      if (step)
        set({ plan: applyPatches(now, step.forward), future: future.slice(0, -1), past: [...past, step] });
    },
    pick: (picked) => set({ picked }),
    go: (stage) => set({ stage, view: { ...get().view, placing: null } }),
    look: (at) => set({ view: { ...get().view, ...at } }),
    replace(next) {
      get().edit((draft) => {
        Object.assign(draft, next);
      }, REPLACED);
      get().settle();
    },
    refresh(revision, plan) {
      const { plan: shown, past } = get();
      set({
        plan,
        base: { revision, plan },
        // Unsaved with nothing typed: it is still looked for what an earlier page has left.
        ...(get().saving.state !== 'unsaved' && { saving: { state: 'saved' } }),
        past: rebased(past, shown, plan),
        future: [],
      });
    },
  }));
}

/** Steps put on top of another's save at the most: older ones are let go. */
const MOST_REBASED = 30;

/**
 * What can be undone of an own plan, on top of what another saved since: each step changes back what it
 * changed, and nothing of theirs. Ends at the first that touched what they changed.
 */
function rebased(past: readonly Step[], own: Plan, theirs: Plan): Step[] {
  const out: Step[] = [];
  let [after, now] = [own, theirs];
  for (const step of past.toReversed().slice(0, MOST_REBASED)) {
    const before = applyPatches(after, step.back);
    const { merged, collisions } = mergePlans(after, now, before);
    if (collisions.length > 0) break;
    const [, forward, back] = produceWithPatches(merged, (draft: Plan) => {
      Object.assign(draft, changedFields(merged, now));
    });
    if (forward.length > 0) out.unshift({ forward, back, key: null });
    [after, now] = [before, merged];
  }
  return out;
}

const Context = createContext<DeskStore | null>(null);
export const DeskProvider = Context.Provider;

export function useDeskStore(): DeskStore {
  const store = useContext(Context);
  if (!store) throw new Error('useDesk needs a DeskProvider above it.');
  return store;
}

export function useDesk<T>(select: (desk: Desk) => T): T {
  return useStore(useDeskStore(), select);
}
