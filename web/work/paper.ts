/** A worker of the paper pool. */
import './polite.ts';

export { paper, ready } from './tasks.ts';
