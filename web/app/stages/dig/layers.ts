/** What the dig draws over the plan when it is asked for. */
export { AsDugLayer } from './AsDugLayer.tsx';
export { DepthLayer, DepthLegend } from './DepthLayer.tsx';
export { OrderLayer } from './OrderLayer.tsx';
export { HatchBar, OverdigOnPlan, OverdigOnSection } from './OverdigLayer.tsx';
