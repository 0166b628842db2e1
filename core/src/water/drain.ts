/** Drains that have no fall to speak of: water leaves through their stone by head alone (Darcy). */

/** Falls under this only drain by head. */
export const FLAT = 0.001;
/** Water through clean 20 mm stone, m/s: typical. */
const STONE_K = 0.2;

/** m³/s for every metre the water stands higher. @param area of the stone across, m² */
export const byHead = (area: number, length: number): number => (STONE_K * area) / Math.max(1, length);
