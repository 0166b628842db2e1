export { proofsOf } from './proofs.ts';
