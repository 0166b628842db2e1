export * from './convex.ts';
export * from './prisms.ts';
export * from './triangulate.ts';
