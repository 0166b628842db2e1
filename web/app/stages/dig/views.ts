/** Drawings of the dig beside its section. */
export { OrderView } from './OrderView.tsx';
export { PilesView } from './PilesView.tsx';
export { TrucksView } from './TrucksView.tsx';
