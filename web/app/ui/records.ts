/** A record in words: what it is of, and what was seen or done; of one that takes another back, which. */
import {
  bedLiftOf,
  FILL_STAGES,
  fillLiftOf,
  type Part,
  type Plan,
  type RecordWord,
  recordKindOf,
  type Said,
  SIDES,
  type SiteRecord,
} from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import { dayText } from './days.ts';
import type { Format } from './format.tsx';
import { layerName } from './words.ts';

/** What a record is said with. */
interface Saying {
  readonly t: Say;
  readonly format: Format;
  readonly plan: Plan;
}

export function recordText(
  t: Say,
  format: Format,
  plan: Plan,
  record: SiteRecord,
  corrected?: SiteRecord,
): { what: string; value: string } {
  const element = plan.elements.find((one) => one.id === record.element);
  const label = t(`record.${record.kind}`);
  return {
    what: element ? `${element.name} · ${label}` : label,
    value: saidOf({ t, format, plan }, record, corrected),
  };
}

function saidOf(saying: Saying, record: SiteRecord, corrected?: SiteRecord): string {
  const { t } = saying;
  if (record.value !== null) return valueText(saying, record);
  if (!corrected || corrected.value === null) return t('record.withdrawn');
  return t('record.withdrawnWhat', { what: valueText(saying, corrected) });
}

const valueText = (saying: Saying, record: SiteRecord): string =>
  recordKindOf(record.kind)
    .said(record.value)
    .map((said) => sentence(saying, record, said))
    .filter(Boolean)
    .join(' · ');

function sentence(saying: Saying, record: SiteRecord, said: Said<RecordWord>): string {
  if (typeof said !== 'object' || !('sentence' in said)) return String(partText(saying, record, said));
  const parts = Object.entries(said.parts).map(([name, part]) => [name, partText(saying, record, part)]);
  return saying.t(said.sentence, Object.fromEntries(parts));
}

/** Its name; its id when the plan has it no longer. */
const named = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((item) => item.id === id)?.name ?? id;

function layerOf({ t, plan }: Saying, bed: string, layer: string): string {
  const own = plan.beds.find((one) => one.id === bed)?.layers.find((one) => one.id === layer);
  return own ? layerName(t, own) : layer;
}

function placementText(saying: Saying, placement: string | null): string {
  const filled = placement === null ? null : fillLiftOf(placement);
  const stage = FILL_STAGES.find((one) => one === filled?.stage);
  const side = SIDES.find((one) => one === filled?.side);
  if (filled && stage && side)
    return saying.t('backfill.lift', {
      stage: saying.t(`backfill.stages.${stage}`),
      side: saying.t(`backfill.sides.${side}`),
      lift: filled.lift,
    });
  const lift = placement === null ? null : bedLiftOf(placement);
  if (!lift) return placement ?? '–';
  return saying.t('record.lift', { layer: layerOf(saying, lift.bed, lift.layer), lift: lift.lift });
}

function partText(saying: Saying, { placement }: SiteRecord, part: Part<RecordWord>): string | number {
  const { t, format, plan } = saying;
  if (typeof part !== 'object') return part;
  if ('word' in part) return t(part.word);
  if ('day' in part) return dayText(format.lang, part.day);
  if ('machine' in part) return named(plan.dig.machines, part.machine);
  if ('truck' in part) return named(plan.spoil.trucks, part.truck);
  if ('hazard' in part) return named(plan.ground.hazards, part.hazard);
  if ('layer' in part) return layerOf(saying, part.bed, part.layer);
  if ('placement' in part) return placementText(saying, placement);
  const { quantity, kind, decimals } = part;
  return quantity === null
    ? '–'
    : format.text(quantity, kind, decimals === undefined ? undefined : { decimals });
}
