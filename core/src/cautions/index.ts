export { CAUTION_CODES, CAUTIONS, type CautionCode, cautionsFor } from './table.ts';
