/** Reads a drawing off the page's thread: files of many thousand lines take a second or two. */
import { type DxfUnit, lookAtDxf, readDxf } from '@cimiento/formats';
import { expose } from 'comlink';

const api = {
  look: lookAtDxf,
  read: (text: string, layers: string[], unit: DxfUnit) => readDxf(text, layers, unit),
};
export type DrawingWorker = typeof api;
expose(api);
