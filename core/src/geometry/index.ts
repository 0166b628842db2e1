export * from './convex.ts';
export * from './prisms.ts';
