export { CurePanel, LeakPanel } from './CurePanel.tsx';
export { FormsPanel } from './FormsPanel.tsx';
export { HandMixPanel } from './HandMixPanel.tsx';
export { PlacesLayer } from './PlacesLayer.tsx';
export { PlacingPanel } from './PlacingPanel.tsx';
export { PlacingView } from './PlacingView.tsx';
