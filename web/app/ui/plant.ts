/** Compactors and pumps in words, their masses and hoses in the reader's units. */
import { COMPACTORS, type CompactorId, fromSI, PUMPS, type PumpId } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';

/** Pounds are told in tens: nobody weighs a plate. */
const TENS = 10;

/** From one mass to another, kg, as a crew says it. */
function massRange(format: Format, [low, high]: readonly [number, number]): string {
  const { unit, number } = format.parts(high, 'weighing', { decimals: 0 });
  if (format.system === 'metric') return `${low}–${number}\u00a0${unit}`;
  const tens = (kg: number) => Math.round(fromSI(kg, 'weighing', 'imperial') / TENS) * TENS;
  return `${tens(low)}–${tens(high)}\u00a0${unit}`;
}

/** The plate a stone footing is compacted with where nobody says which. */
export const usualPlate = (format: Format): string =>
  massRange(format, COMPACTORS.plateMedium.mass ?? [0, 0]);

/** What pumps, by its kind and its hose. */
export const pumpText = (t: Say, format: Format, kind: PumpId): string =>
  t(`night.pumps.${kind}`, { hose: format.text(PUMPS[kind].hose, 'size', { parts: 1 }) });

/** A compactor by kind and working mass. */
export function compactorText(t: Say, format: Format, id: CompactorId): string {
  return t(`compactor.${id}`, { mass: massRange(format, COMPACTORS[id].mass ?? [0, 0]) });
}
