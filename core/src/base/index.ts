export * from './lifts.ts';
