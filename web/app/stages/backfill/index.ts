/** The backfill stage as the desk opens it. */
export { BackfillPanel } from './BackfillPanel.tsx';
export { FillOnSection, FillPlayer } from './FillOnSection.tsx';
export { FlowView } from './FlowView.tsx';
export { StripLayer } from './StripLayer.tsx';
