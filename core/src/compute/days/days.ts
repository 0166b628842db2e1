/** The days of a job as they are told: tasks in time, what is called by when, what to look to. */
import type { Role } from '../../plan/kinds.ts';
import type { BayNow, Placed, Task } from '../../programme/index.ts';
import type { Problem } from '../../results/index.ts';
import type { Flood } from './wet.ts';
import type { Why } from './why.ts';

/** A task in time, as the job's own clock shows it. */
export interface DayTask extends Omit<Task, 'crust'> {
  /** Local, 2026-11-26T07:30. */
  readonly begins: string;
  readonly ends: string;
  /** Hours of its work that frozen ground adds. */
  readonly frozen: number;
  /** When it would have ended had all gone as planned; null: it is done, or there is no plan to hold it against. */
  readonly planned: string | null;
  /** Working days it is later than that, and why; null: it is not. */
  readonly late: number;
  readonly why: Why | null;
  readonly waitsFor: Placed['waitsFor'];
}

/** Something to be ordered, or somebody to be called, and by when. */
export interface ToCall {
  readonly what: 'stone' | 'lean' | 'concrete' | 'fill' | 'trucks' | 'pump' | 'look';
  readonly task: string;
  /** The day it is wanted, and the working day before it. */
  readonly day: string;
  readonly by: string;
  /** m³, truckloads or none. */
  readonly quantity: number | null;
  /** Whose eyes. */
  readonly role: Role | null;
}

export interface Watch {
  readonly code: 'rain' | 'flood' | 'still' | 'trimLater' | 'protect' | 'heat' | 'thaw' | 'frost';
  readonly day: string;
  /** Things or pours it is about; empty: the job. */
  readonly elements: readonly string[];
  readonly pour: string | null;
  /** m of rain, m of water or of frost, °C, or hours, as the code says; null: none. */
  readonly amount: number | null;
  /** Until when, or not before when; null: not said. */
  readonly until: string | null;
}

export interface BoardDay {
  readonly day: string;
  readonly worked: boolean;
  /** Nobody works outside: it rains too much. */
  readonly lost: boolean;
  readonly tasks: readonly string[];
}

export interface Days {
  readonly tasks: readonly DayTask[];
  /** The first and the last day anything is done. */
  readonly first: string;
  readonly last: string;
  /** The earliest day it could end, whatever the order. */
  readonly bound: string;
  /** What is on, day by day that anything is: ids of tasks. */
  readonly days: readonly BoardDay[];
  readonly calls: readonly ToCall[];
  /** What to look to, day by day. */
  readonly watch: readonly Watch[];
  readonly floods: readonly (Omit<Flood, 'span'> & { readonly from: string; readonly until: string })[];
  /** Holes whose nights were not looked at: there are too many. */
  readonly unlooked: number;
  /** What frozen ground costs: hours of the machine, and at its own price; null: nobody said what an hour costs. */
  readonly frost: { readonly hours: number; readonly money: number | null };
  readonly bays: readonly (Omit<BayNow, 'cures'> & { readonly cures: string | null })[];
  readonly problems: readonly Problem[];
}
