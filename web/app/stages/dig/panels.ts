/** Panels under the numbers of the dig: what becomes of the soil, machines and trucks. */
export { Alternatives } from './Alternatives.tsx';
export { DigJobPanel } from './JobPanel.tsx';
export { MachinePanel } from './MachinePanel.tsx';
export { More } from './More.tsx';
export { SpoilPanel } from './SpoilPanel.tsx';
export { TruckPanel } from './TruckPanel.tsx';
