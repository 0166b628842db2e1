/**
 * The sheets there are: the name of each file, and what makes it. A new one is its own file, a row here and its
 * words; its route follows. Each is loaded when it is first asked for.
 */

import type { SheetInput } from './frame.tsx';
import type { Printed } from './print.server.ts';

interface Sheet {
  readonly file: string;
  /** It shows photos. */
  readonly photos?: true;
  readonly make: (input: SheetInput) => Promise<Printed>;
}

export const SHEETS = {
  dig: {
    file: 'dig-sheet',
    make: async (input) => (await import('./dig/dig-sheet.server.tsx')).digSheet(input),
  },
  setout: {
    file: 'set-out-sheet',
    make: async (input) => (await import('./setout-sheet.server.tsx')).setoutPdf(input),
  },
  base: {
    file: 'base-sheet',
    make: async (input) => (await import('./base-sheet.server.tsx')).basePdf(input),
  },
  backfill: {
    file: 'backfill-sheet',
    make: async (input) => (await import('./backfill-sheet.server.tsx')).backfillPdf(input),
  },
  record: {
    file: 'record',
    photos: true,
    make: async (input) => (await import('./record-sheet.server.tsx')).recordPdf(input),
  },
  day: {
    file: 'day-sheet',
    photos: true,
    make: async (input) => (await import('./day-sheet.server.tsx')).dayPdf(input),
  },
  order: {
    file: 'order-sheet',
    make: async (input) => (await import('./order-sheet.server.tsx')).orderPdf(input),
  },
  pour: {
    file: 'pour-sheet',
    make: async (input) => (await import('./pour-sheet.server.tsx')).pourPdf(input),
  },
  cut: {
    file: 'cut-list',
    make: async (input) => (await import('./cut-list.server.tsx')).cutPdf(input),
  },
  tomorrow: {
    file: 'tomorrow-sheet',
    make: async (input) => (await import('./tomorrow-sheet.server.tsx')).tomorrowPdf(input),
  },
  inspection: {
    file: 'inspection',
    make: async (input) => (await import('./inspection-sheet.server.tsx')).inspectionPdf(input),
  },
} as const satisfies Record<string, Sheet>;

export type SheetId = keyof typeof SHEETS;
export const SHEET_IDS = Object.keys(SHEETS) as readonly SheetId[];

/** The sheet an address names: the last of its path, as dig-sheet.pdf. */
export const sheetNamed = (pathname: string): SheetId | undefined =>
  SHEET_IDS.find((id) => pathname.endsWith(`/${SHEETS[id].file}.pdf`));
