export * from './job.ts';
export * from './weather.ts';
