/** A worker of the takeoff pool. */
export { csv, days, held, json, ready, summary } from './tasks.ts';
