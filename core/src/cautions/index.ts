export { type CautionCode, cautionsFor } from './table.ts';
