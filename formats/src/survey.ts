/** A survey of spot levels, as it comes in from a file, before it becomes a plan's surface. */

/** x, y and level, m, in the survey's own coordinates. */
export type SurveyPoint = readonly [number, number, number];

export interface Survey {
  readonly points: readonly SurveyPoint[];
  /** Positions in `points` that lines run through. */
  readonly breaklines: readonly (readonly number[])[];
}

/** How the columns of a file without a head are ordered: N north, E east, Z level, P a point's name. */
export const ORDERS = ['ENZ', 'NEZ', 'PENZ', 'PNEZ'] as const;
export type Order = (typeof ORDERS)[number];

/** Foot of surveys in the United States before 2023, m: 1200/3937. */
const US_SURVEY_FOOT = 1200 / 3937;
export const SURVEY_UNITS = { m: 1, ft: 0.3048, usft: US_SURVEY_FOOT } as const;
export type SurveyUnit = keyof typeof SURVEY_UNITS;
