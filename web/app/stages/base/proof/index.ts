/** What proves a bed: fetched once the Base stage is looked at. */
export { BottomFound } from './BottomFound.tsx';
export { CompactorsPanel } from './CompactorsPanel.tsx';
export { LayerProof } from './LayerProof.tsx';
export { LiftCards } from './LiftCards.tsx';
export { ProofChart } from './ProofChart.tsx';
export { SoftBottom } from './SoftBottom.tsx';
export { TestPlaces } from './TestPlaces.tsx';
