/**
 * Cautions that must be on screen and on paper where they apply. They warn and defer: never a
 * claim that an excavation is safe.
 */

import { COMPACTORS } from '../base/compactors.ts';
import type { Caution, ElementTakeoff, Takeoff } from '../compute/takeoff.ts';
import { ENGINEER_DEPTH, LADDER_DEPTH, LADDER_TRAVEL, SPOIL_SETBACK } from '../dig/sides.ts';
import type { Plan } from '../plan/schema.ts';

type Part = Pick<Takeoff, 'elements' | 'frost' | 'lifts' | 'pits' | 'spoil' | 'soils'>;

const ids = (elements: readonly ElementTakeoff[]) => elements.map((element) => element.id);
const deepest = (elements: readonly ElementTakeoff[]) => Math.max(...elements.map((e) => e.depth));
const EPS = 1e-6;

/** Cautions of a job, gravest first. */
export function cautionsFor(plan: Plan, part: Part): Caution[] {
  const out: Caution[] = [];
  const live = part.elements.filter((element) => element.live);
  const add = (
    when: readonly ElementTakeoff[],
    code: string,
    weight: Caution['weight'],
    values?: Caution['values'],
    names?: Caution['names'],
  ) => {
    if (when.length > 0)
      out.push({ code, weight, elements: ids(when), ...(values && { values }), ...(names && { names }) });
  };

  const needing = live.filter((e) => e.rule.protectFrom !== null && e.depth >= e.rule.protectFrom - EPS);
  const steep = needing.filter((e) => e.slope < e.rule.steepest - EPS);
  if (steep.length > 0)
    add(steep, 'unsupported', 'stop', {
      depth: [deepest(steep), 'length'],
      from: [Math.min(...steep.map((e) => e.rule.protectFrom ?? 0)), 'length'],
      steepest: [Math.max(...steep.map((e) => e.rule.steepest)), 'slope'],
    });
  const beyond = live.filter((e) => e.depth > ENGINEER_DEPTH);
  if (beyond.length > 0)
    add(beyond, 'engineerDepth', 'stop', {
      depth: [deepest(beyond), 'length'],
      limit: [ENGINEER_DEPTH, 'length'],
    });

  const wet = live.filter((e) => e.wet);
  const { water } = plan.ground;
  if (wet.length > 0 && water !== null) {
    const lowest = Math.min(...wet.map((e) => e.dug));
    add(wet, 'water', 'stop', {
      above: [water - lowest, 'size'],
      hold: [Math.min(...part.pits.map((pit) => pit.holdLevel)), 'level'],
    });
    const lowered = wet.filter((e) => e.rule.loweredByWater);
    add(lowered, 'waterClass', 'warn');
  }
  add(
    needing.filter((e) => e.slope >= e.rule.steepest - EPS),
    'caveIn',
    'warn',
    needing.length > 0 ? { depth: [deepest(needing), 'length'] } : undefined,
  );

  const people = live.filter((e) => e.depth >= LADDER_DEPTH);
  if (people.length > 0) {
    add(people, 'ladder', 'warn', { depth: [LADDER_DEPTH, 'length'], travel: [LADDER_TRAVEL, 'length'] });
    add(people, 'gas', 'note', { depth: [LADDER_DEPTH, 'length'] });
    add(people, 'rescue', 'warn');
  }
  add(live, 'edge', 'warn', { setback: [SPOIL_SETBACK, 'length'] });
  add(live, 'services', 'warn');
  const frozen = part.frost.depth !== null && part.frost.depth > 0;
  if (frozen) add(live, 'thaw', 'note');
  const cutSoft = live.filter((e) =>
    part.soils.some((soil) => soil.typical.softens && soil.top < e.depth && soil.bottom >= e.depth - EPS),
  );
  add(cutSoft, 'softening', 'note');
  if (plan.levels.instruction)
    add(
      live,
      'instruction',
      'warn',
      { level: [plan.levels.instruction.level, 'level'] },
      { who: plan.levels.instruction.who },
    );
  const frostLine = live.filter((e) => {
    const frostLevel = e.decision?.candidates.find((c) => c.rule === 'frost')?.level;
    return frostLevel !== undefined && e.underside > frostLevel + EPS;
  });
  add(frostLine, 'aboveFrost', 'stop');
  if (plan.base && part.lifts) {
    const high = COMPACTORS[plan.base.compactor].granular[1];
    if (part.lifts.stoneTooLarge)
      add(live, 'stoneSize', 'warn', {
        stone: [plan.base.topSize, 'size'],
        lift: [part.lifts.thickness, 'size'],
      });
    if (plan.base.maxLift !== null && plan.base.maxLift > high + EPS)
      add(live, 'liftOverCompactor', 'warn', {
        specified: [plan.base.maxLift, 'size'],
        typical: [high, 'size'],
      });
  }
  if (part.spoil.shortfall > 0) add(live, 'shortfall', 'note', { volume: [part.spoil.shortfall, 'volume'] });
  // Last and always, dig or no dig.
  out.push({ code: 'defer', weight: 'note', elements: [] });
  const order = { stop: 0, warn: 1, note: 2 };
  return out.sort((p, q) => order[p.weight] - order[q.weight]);
}
