export * from './balances.ts';
