/** English words the board starts with beside those of every page; a desk fetches them later. */
import { boardPage } from './en/boardPage.ts';
import { crewPage } from './en/crewPage.ts';
import { daysPage } from './en/daysPage.ts';
import { fileProblems } from './en/fileProblems.ts';

export const enBoard = { ...boardPage, ...crewPage, ...daysPage, ...fileProblems };
