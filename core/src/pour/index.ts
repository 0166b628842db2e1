export * from './place.ts';
