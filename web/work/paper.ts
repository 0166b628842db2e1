/** A worker of the paper pool. */
import './polite.ts';

export { paper } from './tasks.ts';
