/** How long a compactor is at a layer. */

export interface Compacting {
  /** Of the area to be compacted, m. */
  readonly length: number;
  readonly width: number;
  /** Of the plate or roll, m, and the share of it that overlaps the strip before. */
  readonly plate: number;
  readonly overlap: number;
  readonly passes: number;
  readonly lifts: number;
  /** m/min, and minutes worked in an hour over 60. */
  readonly speed: number;
  readonly efficiency: number;
}

/** Strips side by side that cover a width. */
export const stripsAcross = (width: number, plate: number, overlap: number): number =>
  Math.max(1, Math.ceil((width - plate * overlap) / (plate * (1 - overlap)) - 1e-9));

/** Minutes of compacting. */
export const compactingTime = (c: Compacting): number =>
  (c.length * stripsAcross(c.width, c.plate, c.overlap) * c.passes * c.lifts) / c.speed / c.efficiency;
