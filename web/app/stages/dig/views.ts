/** Drawings of the dig beside its section. */

export { PilesView } from './PilesView.tsx';
export { SequenceView } from './SequenceView.tsx';
export { TrucksView } from './TrucksView.tsx';
