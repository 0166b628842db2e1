/** English words of parts that are fetched when they are first looked at. */
import { asked } from './en/asked.ts';
import { backfill } from './en/backfill.ts';
import { base } from './en/base.ts';
import { cast } from './en/cast.ts';
import { cautionSays } from './en/cautionSays.ts';
import { crossing } from './en/crossing.ts';
import { day } from './en/day.ts';
import { dewatering } from './en/dewatering.ts';
import { dialogs } from './en/dialogs.ts';
import { drains } from './en/drains.ts';
import { explain } from './en/explain.ts';
import { frost } from './en/frost.ts';
import { hole } from './en/hole.ts';
import { lateFields } from './en/lateFields.ts';
import { lateProblems } from './en/lateProblems.ts';
import { log } from './en/log.ts';
import { photo } from './en/photo.ts';
import { placed } from './en/placed.ts';
import { pour } from './en/pour.ts';
import { proof } from './en/proof.ts';
import { rain } from './en/rain.ts';
import { said } from './en/said.ts';
import { sheets } from './en/sheets.ts';
import { water } from './en/water.ts';

export const enLater = {
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
