export * from './depth.ts';
