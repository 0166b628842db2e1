/** English words of parts that are fetched when they are first looked at. */
import { asked } from './en/asked.ts';
import { backfill } from './en/backfill.ts';
import { dewatering } from './en/dewatering.ts';
import { dialogs } from './en/dialogs.ts';
import { explain } from './en/explain.ts';
import { frost } from './en/frost.ts';
import { hole } from './en/hole.ts';
import { log } from './en/log.ts';
import { pour } from './en/pour.ts';
import { proof } from './en/proof.ts';
import { rain } from './en/rain.ts';
import { said } from './en/said.ts';
import { sheets } from './en/sheets.ts';
import { water } from './en/water.ts';

export const enLater = {
  ...asked,
  ...backfill,
  ...dialogs,
  ...proof,
  ...rain,
  ...dewatering,
  ...said,
  ...explain,
  ...frost,
  ...hole,
  ...log,
  ...pour,
  ...sheets,
  ...water,
};
