/** Fields of the rarer kinds, fetched when one is first picked. */
export { DrainFields, StoneFields } from './DrainFields.tsx';
export { RisingFields } from './RisingFields.tsx';
export { SlabFields } from './SlabFields.tsx';
export { UnderpinFields } from './UnderpinFields.tsx';
