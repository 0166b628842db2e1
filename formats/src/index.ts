export * from './climate-csv.ts';
export * from './landxml.ts';
export * from './logs-csv.ts';
export * from './plan-file.ts';
export * from './survey.ts';
export * from './survey-csv.ts';
export * from './takeoff-csv.ts';
export * from './takeoff-json.ts';
