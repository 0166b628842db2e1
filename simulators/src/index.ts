export * from './gauge.ts';
export * from './job.ts';
export * from './weather.ts';
