/** Where pumped water goes: a tank or pond in which what it carries settles first. */

/** m/s², grains over water, and the water's kinematic viscosity at 10 °C, m²/s. */
const G = 9.81;
const SUBMERGED = 1.65;
const VISCOSITY = 1.3e-6;
/** Grains that must stay in it, m: coarse silt, typical of what is asked. Clay stays up for days. */
const SETTLES = 0.02e-3;

/** How fast a grain sinks in still water, m/s (Stokes): good below 0.1 mm. */
export const sinks = (grain: number): number => (G * SUBMERGED * grain * grain) / (18 * VISCOSITY);

/** Open water it takes for grains of a size to stay in it, m². @param flow m³/s */
export const settlingArea = (flow: number, grain = SETTLES): number => Math.max(0, flow) / sinks(grain);
