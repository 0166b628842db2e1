/** A worker of the takeoff pool. */
export { csv, held, json, ready, summary } from './tasks.ts';
