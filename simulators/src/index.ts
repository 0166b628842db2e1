export * from './gauge.ts';
export * from './instruments.ts';
export * from './job.ts';
export * from './receiver.ts';
export * from './weather.ts';
