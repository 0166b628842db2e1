export { proofsOf } from './proofs.ts';
export { proved, type Stopped, stoppedBy, withStopped } from './proved.ts';
