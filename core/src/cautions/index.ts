export { type CautionCode, cautionsFor, HOLD_CODES } from './table.ts';
