/** The ground stage as the desk opens it. */
export { FenceView } from './FenceView.tsx';
export { FrostCharts } from './FrostCharts.tsx';
export { GroundPanel } from './GroundPanel.tsx';
export { PitFace } from './PitFace.tsx';
export { placeAt } from './placing.ts';
