/** What the dig draws over the plan when it is asked for. */

export { ServicesOnSection } from '../ground/ServicesOnSection.tsx';
export { AsDugLayer } from './AsDugLayer.tsx';
export { BayOnSection } from './BayLayer.tsx';
export { DepthLayer, DepthLegend } from './DepthLayer.tsx';
export { OrderLayer } from './OrderLayer.tsx';
export { HatchBar, OverdigOnPlan, OverdigOnSection } from './OverdigLayer.tsx';
export { SiteWorkLayer } from './SiteWorkLayer.tsx';
