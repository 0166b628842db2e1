/** Hazards the dig comes too near: one caution a hazard and kind of clash, with the worst of it. */
import { HAZARD_KINDS, type HazardKind } from '../catalogue/soils.ts';
import type { Clash } from '../levels/index.ts';
import type { Kind } from '../units/index.ts';
import type { Case, CautionRow, Finding } from './case.ts';

/** Reaching into these can kill. */
const DEADLY: readonly HazardKind[] = ['service', 'overhead'];

function clashes(
  { job }: Case,
  what: Clash['what'],
  limit: Kind,
  by: Kind,
  of: (kind: HazardKind) => boolean = () => true,
): Finding[] {
  return job.plan.ground.hazards.flatMap((hazard): Finding[] => {
    if (!of(hazard.kind)) return [];
    const found = job.clashes.filter((clash) => clash.hazard === hazard.id && clash.what === what);
    const worst = found.reduce<Clash | null>((p, q) => (p === null || q.by > p.by ? q : p), null);
    if (!worst) return [];
    const deadly = what === 'keepOff' && DEADLY.includes(hazard.kind) && !job.facts.laidBare.has(hazard.id);
    return [
      {
        elements: found.map((clash) => clash.element),
        values: {
          distance: [worst.distance, 'length'],
          limit: [worst.limit, limit],
          by: [worst.by, by],
        },
        names: { hazard: hazard.name },
        ...(deadly && { weight: 'stop' }),
      },
    ];
  });
}

const keepOff = (kind: HazardKind): CautionRow => ({
  weight: 'warn',
  find: (at) => clashes(at, 'keepOff', 'length', 'length', (own) => own === kind),
});

/** A neighbour's footing has rules of its own: its line, and what stands out of it. */
const KEPT_OFF = HAZARD_KINDS.filter((kind): kind is Exclude<HazardKind, 'footing'> => kind !== 'footing');
type KeepOffCode = `keepOff.${(typeof KEPT_OFF)[number]}`;

export const HAZARD_CAUTIONS = {
  influence: { weight: 'stop', find: (at) => clashes(at, 'influence', 'level', 'size') },
  flood: { weight: 'stop', find: (at) => clashes(at, 'flood', 'level', 'size') },
  ...(Object.fromEntries(KEPT_OFF.map((kind) => [`keepOff.${kind}`, keepOff(kind)])) as Record<
    KeepOffCode,
    CautionRow
  >),
  cutBack: { weight: 'warn', find: (at) => clashes(at, 'cutBack', 'size', 'size') },
} as const satisfies Record<string, CautionRow>;
