/** Lengths of time in the units clocks and formulas count in. */
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;
export const DAY_S = 86_400;
