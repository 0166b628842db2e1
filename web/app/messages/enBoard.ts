/** English words the board starts with beside those of every page; a desk fetches them later. */
import { boardPage } from './en/boardPage.ts';
import { fileProblems } from './en/fileProblems.ts';

export const enBoard = { ...boardPage, ...fileProblems };
