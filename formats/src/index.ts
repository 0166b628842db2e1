export * from './plan-file.ts';
export * from './takeoff-csv.ts';
export * from './takeoff-json.ts';
