export * from './boxes.ts';
export * from './convex.ts';
export * from './outline.ts';
export * from './prisms.ts';
export * from './rectangle.ts';
export * from './triangulate.ts';
export * from './union.ts';
