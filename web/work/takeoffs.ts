/** A worker of the takeoff pool. */
export { csv, json, ready, summary } from './tasks.ts';
