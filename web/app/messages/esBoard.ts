/** Spanish words the board starts with beside those of every page. */
import type { enBoard } from './enBoard.ts';
import { boardPage } from './es/boardPage.ts';
import { crewPage } from './es/crewPage.ts';
import { daysPage } from './es/daysPage.ts';
import { fileProblems } from './es/fileProblems.ts';
import type { Words } from './words.ts';

export const esBoard: Words<typeof enBoard> = { ...boardPage, ...crewPage, ...daysPage, ...fileProblems };
