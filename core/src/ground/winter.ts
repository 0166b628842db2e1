/** What frost is worked out from: a winter, and the layers it goes down through. */

export interface Climate {
  /** Air freezing index, °C·days. */
  readonly index: number;
  readonly days: number;
  /** Mean annual temperature, °C, ≥ 0. */
  readonly mean: number;
  readonly nFactor: number;
}

export interface FrostLayer {
  /** m; the last layer runs on down. */
  readonly thickness: number;
  /** W/mK. */
  readonly conductivity: number;
  /** J/m³K, mean of frozen and thawed. */
  readonly heat: number;
  /** J/m³. */
  readonly latent: number;
}
