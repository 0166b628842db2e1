/**
 * Exact conversion factors to SI. US customary lengths and masses are exact by the
 * international yard and pound agreement (1959); the US gallon is 231 cubic inches.
 */
export const FOOT = 0.3048;
export const INCH = 0.0254;
export const YARD = 0.9144;
export const CUBIC_YARD = 0.764554857984;
export const CUBIC_FOOT = 0.028316846592;
export const US_GALLON = 3.785411784e-3;
export const POUND = 0.45359237;
export const SHORT_TON = 907.18474;
/** 1 lb/ft³ in kg/m³. */
export const POUND_PER_CUBIC_FOOT = POUND / CUBIC_FOOT;
/** 1 psf in pascals: pound-force (standard gravity 9.80665 m/s²) over a square foot. */
const POUND_PER_SQUARE_FOOT = (POUND * 9.80665) / (FOOT * FOOT);
/** 1 short ton-force on a square foot, in pascals. */
export const TON_PER_SQUARE_FOOT = 2000 * POUND_PER_SQUARE_FOOT;
/** 1 pound-force in newtons. */
export const POUND_FORCE = POUND * 9.80665;
