/** A worker of the takeoff pool. */
export { csv, json, summary } from './tasks.ts';
