export * from './arrivals.ts';
export * from './boards.ts';
export * from './cut-stock.ts';
export * from './hand-mix.ts';
export * from './leak.ts';
export * from './order.ts';
export * from './pressure.ts';
