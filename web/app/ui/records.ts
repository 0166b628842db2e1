/** A record in words: what it is of, and what was seen or done; of one that takes another back, which. */
import { coneStretches, dryFound, type Plan, RECORD_KINDS, type SiteRecord } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';
import { layerName } from './words.ts';

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

/** Name of a layer of a bed; its id when the plan has it no longer. */
function layerOf(t: Say, plan: Plan, bed: string, layer: string): string {
  const own = plan.beds.find((one) => one.id === bed)?.layers.find((one) => one.id === layer);
  return own ? layerName(t, own) : layer;
}

const liftOf = (
  t: Say,
  plan: Plan,
  { bed, layer, lift }: { readonly bed: string; readonly layer: string; readonly lift: number },
) => ({ layer: layerOf(t, plan, bed, layer), lift });

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
    case 'lab': {
      const { bed, layer, points } = record.value!;
      return t('record.labValue', { layer: layerOf(t, plan, bed, layer), count: points.length });
    }
    case 'trial': {
      const { bed, layer, thickness, readings } = record.value!;
      return t('record.trialValue', {
        layer: layerOf(t, plan, bed, layer),
        lift: format.text(thickness, 'size'),
        count: readings.length,
      });
    }
    case 'bottom': {
      const { feel, wet, frozen } = record.value!;
      const seen = [t(`proof.feels.${feel}`), t(`proof.wets.${wet}`), frozen ? t('proof.frozen') : ''];
      return seen.filter(Boolean).join(' · ');
    }
    case 'cone': {
      const { soil, readings } = record.value!;
      const cbrs = coneStretches(readings, soil).map(({ cbr }) => cbr);
      return t('record.coneValue', {
        count: readings.length,
        deep: format.text(readings.at(-1)!.depth, 'size'),
        least: cbrs.length > 0 ? format.text(Math.min(...cbrs), 'number', { decimals: 0 }) : '–',
      });
    }
    case 'recharge': {
      const { readings, length, width } = record.value!;
      return t('record.rechargeValue', {
        count: readings.length,
        size: `${format.text(length, 'length')} × ${format.text(width, 'length')}`,
      });
    }
    case 'laid': {
      const { on, reason } = record.value!;
      const what = t('record.laidValue', {
        ...liftOf(t, plan, record.value!),
        ground: t(`proof.ground.${on}`),
      });
      return [what, reason].filter(Boolean).join(': ');
    }
    case 'density': {
      const dry = dryFound(record.value!);
      return t('record.densityValue', {
        ...liftOf(t, plan, record.value!),
        dry: dry === null ? '?' : format.text(dry, 'density'),
        moisture: format.text(record.value!.moisture, 'percent'),
      });
    }
    case 'rework':
      return t('record.reworkValue', {
        ...liftOf(t, plan, record.value!),
        what: t(`proof.reworks.${record.value!.what}`),
      });
    case 'release': {
      const { who, reason } = record.value!;
      const what = t('record.releaseValue', { ...liftOf(t, plan, record.value!), who });
      return [what, reason].filter(Boolean).join(': ');
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
