export { type CautionCode, cautionsFor, HOLD_CODES, STANDING_CODES } from './table.ts';
