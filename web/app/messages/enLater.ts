/** English words of parts that are fetched when they are first looked at. */
import { log } from './en/log.ts';
import { proof } from './en/proof.ts';
import { sheets } from './en/sheets.ts';

export const enLater = { ...proof, ...log, ...sheets };
