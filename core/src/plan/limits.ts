/** Format, version, and how many of each a plan holds. */
export const PLAN_FORMAT = 'cimiento-plan';
export const PLAN_VERSION = 14;

/** How many of each a plan holds. */
export const MOST_ELEMENTS = 400;
/** Casts of all elements, each by itself: footing, walls, rises. */
export const MOST_CASTS = 2000;
export const MOST_LOGS = 60;
/** Levels this far under the ground are a slip of datum or of a digit, m (assumed). */
export const DEEPEST_DIG = 20;
/** A time of day as it is written. */
/** A day of the calendar, 2026-10-14. */
export const CALENDAR_DAY = '^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])$';
/** A task of a job, see programme/tasks.ts: what is done, and to what. */
export const TASK_ID = '^[a-z]{1,12}(/[A-Za-z0-9_.-]{1,60})?$';
export const MOST_TASKS = 400;
export const CLOCK = '^([01][0-9]|2[0-3]):[0-5][0-9]$';
/** Spot levels a plan keeps; an import of more is thinned to those that matter. */
export const MOST_SPOTS = 20_000;
/** A day and a time of day as they are written: 2026-11-26T07:00. */
export const LOCAL = '^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])T([01][0-9]|2[0-3]):[0-5][0-9]$';
/** Revisions of one job at the most: the largest number its table holds, less one for the next. */
export const MOST_REVISIONS = 2 ** 31 - 2;

/** Limits of surfaces that are shot, where nobody has typed one. */
export const NO_LIMITS = {
  formationOver: null,
  formationUnder: null,
  bed: null,
  lean: null,
  footing: null,
  check: null,
} as const;
