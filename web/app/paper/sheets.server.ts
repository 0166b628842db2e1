/** The sheets there are, by name. */
import { basePdf } from './base-sheet.server.tsx';
import { digSheet } from './dig/dig-sheet.server.tsx';
import { recordPdf } from './record-sheet.server.tsx';
import { setoutPdf } from './setout-sheet.server.tsx';

export const SHEETS = { dig: digSheet, setout: setoutPdf, base: basePdf, record: recordPdf } as const;
export type SheetId = keyof typeof SHEETS;
export const SHEET_IDS = Object.keys(SHEETS) as readonly SheetId[];
