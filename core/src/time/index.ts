export * from './local.ts';
export * from './there.ts';
