/** What is wrong with a file, with where in it that is: by all that holds it. */
import type { Problem } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import { placeText } from './changes.ts';
import type { Format } from './format.tsx';
import { problemText } from './words.ts';

export const fileProblemText = (t: Say, format: Format, problem: Problem): string =>
  problemText(t, format, problem, placeText);
