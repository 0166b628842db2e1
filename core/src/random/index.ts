export * from './draws.ts';
export * from './seeded.ts';
