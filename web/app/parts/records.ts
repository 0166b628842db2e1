/** A record in words: what it is of, and what was seen or done; of one that takes another back, which. */
import { type Plan, RECORD_KINDS, type SiteRecord } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';

const named = (list: readonly { readonly id: string; readonly name: string }[], id: string) =>
  list.find((item) => item.id === id)?.name ?? id;

export function recordText(
  t: Say,
  format: Format,
  plan: Plan,
  record: SiteRecord,
  corrected?: SiteRecord,
): { what: string; value: string } {
  const element = plan.elements.find((one) => one.id === record.element);
  const label = t(RECORD_KINDS[record.kind].label);
  return {
    what: element ? `${element.name} · ${label}` : label,
    value: saidIn(t, format, plan, record, corrected),
  };
}

function saidIn(t: Say, format: Format, plan: Plan, record: SiteRecord, corrected?: SiteRecord): string {
  if (record.value !== null) return valueText(t, format, plan, record);
  if (!corrected || corrected.value === null) return t('record.withdrawn');
  return t('record.withdrawnWhat', { what: valueText(t, format, plan, corrected) });
}

function valueText(t: Say, format: Format, plan: Plan, record: SiteRecord): string {
  // Each kind of record has words of its own; a new one is named here by the compiler.
  switch (record.kind) {
    case 'dug': {
      const { machine, volume, hours, when } = record.value!;
      return [
        t('record.dugValue', {
          machine: named(plan.dig.machines, machine),
          volume: format.text(volume, 'volume'),
          hours: format.text(hours, 'hours'),
        }),
        when,
      ]
        .filter(Boolean)
        .join(' · ');
    }
    case 'handDug': {
      const { volume, hours } = record.value!;
      return t('record.handDugValue', {
        volume: format.text(volume, 'volume'),
        hours: format.text(hours, 'hours'),
      });
    }
    case 'taped': {
      const { from, to, distance } = record.value!;
      return `${from}–${to} ${format.text(distance, 'taped')}`;
    }
    case 'frozen': {
      const { depth } = record.value!;
      return depth > 0 ? format.text(depth, 'length') : t('record.thawed');
    }
    case 'laidBare': {
      const { hazard, bare } = record.value!;
      return t(bare ? 'record.bare' : 'record.covered', { name: named(plan.ground.hazards, hazard) });
    }
    case 'note':
      return record.value!.text;
  }
}
