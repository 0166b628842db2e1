/** Hazards the dig comes too near: one caution a hazard and kind of clash, with the worst of it. */
import { COMPACTORS, type CompactorId } from '../catalogue/compactors.ts';
import { HAZARD_KINDS, type HazardKind } from '../catalogue/hazards.ts';
import { type Clash, distanceTo } from '../levels/index.ts';
import type { Kind } from '../units/index.ts';
import { type Case, type CautionRow, EPS, type Finding } from './case.ts';

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
    const deadly =
      what === 'keepOff' && DEADLY.includes(hazard.kind) && !job.facts.exposed.get(hazard.id)?.bare;
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

/** Somebody else's, who alone can say that one may come nearer. */
const OWNED: readonly HazardKind[] = ['service', 'overhead', 'well'];

const keepOff = (kind: HazardKind): CautionRow => ({
  weight: 'warn',
  stage: 'ground',
  ...(OWNED.includes(kind) && { lifts: 'owner' }),
  ...(DEADLY.includes(kind) && { graver: true }),
  find: (at) => clashes(at, 'keepOff', 'length', 'length', (own) => own === kind),
});

/** A neighbour's footing has rules of its own: its line, and what stands out of it. */
const KEPT_OFF = HAZARD_KINDS.filter((kind): kind is Exclude<HazardKind, 'footing'> => kind !== 'footing');
type KeepOffCode = `keepOff.${(typeof KEPT_OFF)[number]}`;

/** Footings of neighbours nearer than what compacts beside them should come: the worst of each. */
function vibrates({ job, live }: Case): Finding[] {
  return job.plan.ground.hazards.flatMap((hazard): Finding[] => {
    if (hazard.kind !== 'footing') return [];
    const near = live.flatMap((e) => {
      const keep = Math.max(0, ...e.cards.map(({ layer }) => keepOffOf(layer.compactor)));
      const away = Math.min(...e.bottoms.map((bottom) => distanceTo(hazard.points, bottom)));
      return away < keep - EPS ? [{ e, keep, away }] : [];
    });
    const worst = near.reduce<(typeof near)[number] | null>(
      (p, q) => (p === null || q.away < p.away ? q : p),
      null,
    );
    return worst
      ? [
          {
            elements: near.map(({ e }) => e.id),
            names: { hazard: hazard.name },
            values: { distance: [worst.away, 'length'], keep: [worst.keep, 'length'] },
          },
        ]
      : [];
  });
}

const keepOffOf = (compactor: CompactorId | null): number =>
  compactor === null ? 0 : COMPACTORS[compactor].keepOff;

/** Services over, through or under what is cast of which nobody has said all that is to be said. */
const unsettled = ({ job }: Case): Finding[] =>
  job.plan.ground.hazards.flatMap(({ id, name, crossing }): Finding[] => {
    const own = job.crossings.filter(({ hazard }) => hazard === id);
    if (own.length === 0 || (crossing && crossing.level !== null && crossing.who !== '')) return [];
    return [
      {
        elements: [...new Set(own.flatMap(({ owner }) => job.plan.elements[owner]?.id ?? []))],
        names: { hazard: name },
        values: { length: [own.reduce((sum, { length }) => sum + length, 0), 'length'] },
      },
    ];
  });

export const HAZARD_CAUTIONS = {
  influence: {
    weight: 'stop',
    stage: 'ground',
    lifts: 'engineer',
    find: (at) => clashes(at, 'influence', 'level', 'size'),
  },
  flood: { weight: 'stop', stage: 'ground', find: (at) => clashes(at, 'flood', 'level', 'size') },
  ...(Object.fromEntries(KEPT_OFF.map((kind) => [`keepOff.${kind}`, keepOff(kind)])) as Record<
    KeepOffCode,
    CautionRow
  >),
  cutBack: {
    weight: 'warn',
    stage: 'ground',
    lifts: 'engineer',
    find: (at) => clashes(at, 'cutBack', 'size', 'size'),
  },
  crossing: { weight: 'warn', stage: 'ground', lifts: 'owner', find: unsettled },
  vibrates: { weight: 'warn', stage: 'ground', lifts: 'owner', find: vibrates },
} as const satisfies Record<string, CautionRow>;
