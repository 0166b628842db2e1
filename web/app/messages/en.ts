/** English, whole. Each file of es/ has the shape of its namesake in en/ or the build fails. */
import { enBoard } from './enBoard.ts';
import { enFirst } from './enFirst.ts';
import { enLater } from './enLater.ts';
import { merged } from './merged.ts';
import type { Words } from './words.ts';

export const en = merged(enFirst, enBoard, enLater);
export type Messages = Words<typeof en>;
