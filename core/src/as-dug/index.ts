export * from './as-dug.ts';
export * from './band.ts';
export * from './field.ts';
export * from './levelling.ts';
export * from './pattern.ts';
export * from './verdict.ts';
export * from './wanted.ts';
