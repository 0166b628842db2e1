/** Spanish words of parts that are fetched when they are first looked at. */
import type { enLater } from './enLater.ts';
import { asked } from './es/asked.ts';
import { backfill } from './es/backfill.ts';
import { base } from './es/base.ts';
import { cast } from './es/cast.ts';
import { cautionSays } from './es/cautionSays.ts';
import { crossing } from './es/crossing.ts';
import { day } from './es/day.ts';
import { dewatering } from './es/dewatering.ts';
import { dialogs } from './es/dialogs.ts';
import { drains } from './es/drains.ts';
import { explain } from './es/explain.ts';
import { frost } from './es/frost.ts';
import { hole } from './es/hole.ts';
import { lateFields } from './es/lateFields.ts';
import { lateProblems } from './es/lateProblems.ts';
import { log } from './es/log.ts';
import { photo } from './es/photo.ts';
import { placed } from './es/placed.ts';
import { pour } from './es/pour.ts';
import { proof } from './es/proof.ts';
import { rain } from './es/rain.ts';
import { said } from './es/said.ts';
import { sheets } from './es/sheets.ts';
import { water } from './es/water.ts';
import type { Words } from './words.ts';

export const esLater: Words<typeof enLater> = {
  ...asked,
  ...backfill,
  ...cautionSays,
  ...dialogs,
  ...proof,
  ...rain,
  ...base,
  ...cast,
  ...crossing,
  ...day,
  ...dewatering,
  ...said,
  ...drains,
  ...explain,
  ...frost,
  ...hole,
  ...lateFields,
  ...lateProblems,
  ...log,
  ...photo,
  ...placed,
  ...pour,
  ...sheets,
  ...water,
};
