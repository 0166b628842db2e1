export * from './frost.ts';
export * from './kinds.ts';
export * from './soil.ts';
