export * from './learned.ts';
export * from './table.ts';
