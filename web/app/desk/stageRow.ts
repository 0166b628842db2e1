/** What a stage is to the desk: one row of the table says all of it. */
import type { Element, Plan, Section, Takeoff } from '@cimiento/core';
import type { ComponentType, ReactNode } from 'react';
import type { View } from '../drawing/view.ts';
import type { Say } from '../messages/keys.ts';
import type { Desk, Lower } from '../state/store.ts';
import type { Format } from '../ui/format.tsx';

/** What a layer on the plan is given. */
export interface LayerProps {
  readonly view: View;
  /** The window stays where it is while something is dragged. */
  readonly hold: (still: boolean) => void;
  /** Its stage is the one looked at. */
  readonly here: boolean;
  /** Place under the pointer, or of what is picked; only to what stands beside the drawing. */
  readonly at: readonly [number, number] | null;
}

export interface PlanLayer {
  readonly id: string;
  /**
   * On the ground; in place of what is dug; under and over the elements; beside the drawing, where it is no
   * drawing itself.
   */
  readonly on: 'ground' | 'dug' | 'under' | 'over' | 'beside';
  readonly when: (desk: Desk) => boolean;
  readonly Layer: ComponentType<LayerProps>;
}

/** What a drawing under the plan is given. */
export interface DrawingProps {
  readonly head: ReactNode;
  readonly element: Element | undefined;
  readonly index: number;
  /** The section through what is picked. */
  readonly near: Section | null;
}

/** A job as the column and the next line speak of it. */
export interface Said {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly revision: number;
  readonly t: Say;
  readonly format: Format;
}

/** Something a stage has to say next; null while it has not. The lower its rank the sooner it is said. */
export interface NextSaid {
  readonly rank: number;
  readonly say: (job: Said) => string | null;
}

export interface StageRow {
  /** Its numbers; what stands over them, under them, and after the cautions. */
  readonly Panel: ComponentType;
  readonly Over?: ComponentType;
  readonly Under?: ComponentType;
  readonly Last?: ComponentType;
  /** Cautions are no matter of it. */
  readonly noCautions?: true;
  /** Drawings under the plan: the first stands there until another is chosen. */
  readonly drawings: readonly [Lower, ...Lower[]];
  readonly layers?: readonly PlanLayer[];
  /** A button in the plan's head. */
  readonly Tool?: ComponentType;
  /** It is looked at before anything is drawn: an empty plan is nothing to speak of. */
  readonly beforeAll?: true;
  /** Its ground in the column. */
  readonly fill: string;
  /** Its line in the column, and whether it is held by more than its cautions, which the column looks at itself. */
  readonly answer: (job: Said) => { readonly text: string; readonly held: boolean };
  readonly next?: readonly NextSaid[];
}
