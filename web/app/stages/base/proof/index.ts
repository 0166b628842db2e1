/** What proves a bed: fetched once the Base stage is looked at. */
export { BottomFound } from './BottomFound.tsx';
export { CompactorsPanel } from './CompactorsPanel.tsx';
export { DynamicCone } from './DynamicCone.tsx';
export { LayerProof } from './LayerProof.tsx';
export { LiftCards } from './LiftCards.tsx';
export { LowBottom } from './LowBottom.tsx';
export { ProofChart } from './ProofChart.tsx';
export { SoftBottom } from './SoftBottom.tsx';
export { SoftSpotLayer } from './SoftSpotLayer.tsx';
export { SoftSpots } from './SoftSpots.tsx';
export { TestPlaces } from './TestPlaces.tsx';
export { WorkingLevel } from './WorkingLevel.tsx';
