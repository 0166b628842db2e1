/** Reads a survey file and makes a surface of it, off the page's thread. */
import { type TakeSurvey, takeSurvey } from '@cimiento/core';
import { type Order, readLandXml, readSurveyCsv, type SurveyUnit } from '@cimiento/formats';
import { expose } from 'comlink';

const api = {
  /**
   * @param xml the file is LandXML; its own units count
   * @param progress told the share done, 0…1
   */
  take(
    text: string,
    xml: boolean,
    order: Order | null,
    unit: SurveyUnit,
    origin: readonly [number, number],
    progress: (share: number) => void,
  ): TakeSurvey {
    progress(0.02);
    const read = xml ? readLandXml(text) : readSurveyCsv(text, order, unit);
    if (!read.ok) return read;
    progress(0.25);
    return takeSurvey(read.survey, origin, (share) => progress(0.25 + 0.75 * share));
  },
};
export type SurveyWorker = typeof api;
expose(api);
