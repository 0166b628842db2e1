export * from './factors.ts';
export * from './kinds.ts';
export * from './lang.ts';
export * from './parse.ts';
export * from './print.ts';
export * from './volume.ts';
