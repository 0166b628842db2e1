/**
 * A simulated density gauge: made-up readings that are the same for the same place, near what the
 * laboratory says of a well rolled lift. Now and then it does not answer, as real ones do not.
 */
import { random } from './job.ts';

export interface GaugeAsked {
  /** Of what, and which reading of it: one place gives one reading. */
  readonly place: string;
  /** Maximum dry density, kg/m³, and its moisture, as the gauge was set. */
  readonly maximum: number;
  readonly optimum: number;
}

export interface GaugeReading {
  /** Moist, kg/m³, and moisture by dry mass. */
  readonly wet: number;
  readonly moisture: number;
}

/** Share of readings it does not give. */
const SILENT = 0.05;

/** A number of a text, the same everywhere (FNV-1a). */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (const char of text) hash = Math.imul(hash ^ char.codePointAt(0)!, 0x01000193);
  return hash >>> 0;
}

/** @returns null when it does not answer */
export function gaugeReading({ place, maximum, optimum }: GaugeAsked): GaugeReading | null {
  const next = random(seedOf(place));
  if (next() < SILENT) return null;
  const dry = maximum * (0.93 + 0.06 * next());
  const moisture = Math.max(0.005, optimum + 0.03 * (next() - 0.6));
  return { wet: Math.round(dry * (1 + moisture)), moisture: Math.round(moisture * 1000) / 1000 };
}
