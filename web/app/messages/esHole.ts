/** Palabras con que empieza la página de la zanja; el resto viene después. */
import { hole } from './es/hole.ts';
import { small } from './es/small.ts';

export const esHole = { ...small, ...hole };
