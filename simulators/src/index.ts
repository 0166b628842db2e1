export * from './job.ts';
