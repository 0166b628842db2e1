/** A night of rain on screen: fetched once the Water stage is looked at. */
export { AfterPanel } from './AfterPanel.tsx';
export { ChancePanel } from './ChancePanel.tsx';
export { DamPanel } from './DamPanel.tsx';
export { DewateringPanel } from './DewateringPanel.tsx';
export { FilterPanel } from './FilterPanel.tsx';
export { FloatPanel } from './FloatPanel.tsx';
export { MeansPanel } from './MeansPanel.tsx';
export { NightLayer } from './NightLayer.tsx';
export { NightPlayer } from './NightPlayer.tsx';
export { NightView } from './NightView.tsx';
export { PressurePanel } from './PressurePanel.tsx';
export { PumpsPanel } from './PumpsPanel.tsx';
export { RainPanel } from './RainPanel.tsx';
export { RisingHeadPanel } from './RisingHeadPanel.tsx';
export { RoundPanel } from './RoundPanel.tsx';
export { SurfacePanel } from './SurfacePanel.tsx';
