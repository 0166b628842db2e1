/** What is wrong with a job that shows only once it is dug. */

import type { Excavation } from '../../dig/index.ts';
import { edges, intersect } from '../../geometry/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { traitsOf } from '../../plan/variants.ts';
import { risingTop } from '../../pour/index.ts';
import type { Problem } from '../../results/index.ts';
import { axisOf } from '../../setout/footprint.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';
import { fillProblems } from './fill-problems.ts';
import type { Site } from './site.ts';

/** A log farther than this from everything that is dug says little of the ground there, m. */
const FAR_LOG = 60;

/** A string that lies in the ground: no cord can be stretched there. */
const stringProblems = (plan: Plan, live: readonly ElementTakeoff[]): Problem[] =>
  plan.levels.strings.flatMap(({ id, name, level }, i): Problem[] => {
    const low = Math.min(...live.filter((e) => e.string.id === id).map((e) => e.groundLow));
    return Number.isFinite(low) && level < low
      ? [
          {
            code: 'stringUnderGround',
            path: `/levels/strings/${i}/level`,
            value: level,
            min: low,
            kind: 'level',
            params: { name },
          },
        ]
      : [];
  });

/** What cannot be together: a slab under the footing beside it, one group on two floors, more broken than dug. */
function mixProblems(plan: Plan, elements: readonly ElementTakeoff[]): Problem[] {
  const live = elements.filter((e) => e.live);
  const out: Problem[] = stringProblems(plan, live);
  for (const { element, index, formation, bottoms } of live.filter((e) => traitsOf(e.element).byFloor)) {
    const beside = live.filter(
      (e) =>
        axisOf(e.element).length > 0 &&
        e.formation > formation + 1e-9 &&
        e.bottoms.some((p) => bottoms.some((q) => intersect(p, edges(q)).length > 0)),
    );
    if (beside.length > 0)
      out.push({
        code: 'slabUnderFooting',
        path: `/elements/${index}/founding`,
        value: formation,
        min: Math.max(...beside.map((e) => e.formation)),
        kind: 'level',
        params: { name: element.name, other: beside[0]!.element.name },
      });
  }
  const floors = new Map<string, string | null>();
  for (const { element, index } of live) {
    if (element.group === '' || element.floor === null) continue;
    const before = floors.get(element.group);
    if (before !== undefined && before !== element.floor)
      out.push({
        code: 'groupFloors',
        path: `/elements/${index}/floor`,
        params: { name: element.name, group: element.group },
      });
    else floors.set(element.group, element.floor);
  }
  plan.ground.obstructions.forEach(({ name, element, volume }, i) => {
    const own = live.find((e) => e.id === element);
    const most = element === null ? live.reduce((sum, e) => sum + e.volume, 0) : (own?.volume ?? 0);
    if (live.length > 0 && volume > most + 1e-9)
      out.push({
        code: 'obstructionLarger',
        path: `/ground/obstructions/${i}/volume`,
        value: volume,
        max: most,
        kind: 'volume',
        params: { name },
      });
  });
  return out;
}

/** Soft spots under no bottom: nothing of them is taken out. */
const spotProblems = (plan: Plan, elements: readonly ElementTakeoff[], { soft }: Excavation): Problem[] =>
  elements.some((e) => e.live)
    ? plan.ground.softSpots.flatMap(({ name }, i): Problem[] =>
        soft[i]!.volume > 0
          ? []
          : [{ code: 'softSpotOutside', path: `/ground/softSpots/${i}/points`, params: { name } }],
      )
    : [];

/** Walls told by a floor or a flood that is not there, or that end under the footing they stand on. */
const risingProblems = (plan: Plan, elements: readonly ElementTakeoff[]): Problem[] =>
  elements.flatMap(({ element, index, live, top }): Problem[] => {
    const { rising } = element;
    if (!rising || !live) return [];
    const path = `/elements/${index}/rising`;
    const params = { name: element.name };
    const ends = risingTop(plan, element, top);
    if (ends === null)
      return rising.top === 'flood' || rising.top === 'floor'
        ? [{ code: rising.top === 'flood' ? 'risingNoFlood' : 'risingNoFloor', path: `${path}/top`, params }]
        : [];
    return ends <= top
      ? [
          {
            code: 'risingLow',
            path: rising.top === 'level' ? `${path}/level` : `${path}/over`,
            value: ends,
            min: top,
            kind: 'level',
            params,
          },
        ]
      : [];
  });

/** Problems that show only once the job is dug. */
export function problemStep(
  { plan, model }: Site,
  elements: readonly ElementTakeoff[],
  dig: Excavation,
): Problem[] {
  const problems: Problem[] = [];
  const { string, floors } = plan.levels;
  for (const { live, dug, element, string: own } of elements)
    if (live && own.id === null && string <= dug)
      problems.push({
        code: 'stringBelowFormation',
        path: '/levels/string',
        value: string,
        min: dug,
        kind: 'level',
        params: { name: element.name },
      });
  problems.push(
    ...mixProblems(plan, elements),
    ...spotProblems(plan, elements, dig),
    ...risingProblems(plan, elements),
    ...fillProblems(plan, model, elements),
  );
  const anywhere = elements.some((one) => one.places.length > 0);
  plan.ground.logs.forEach((log, i) => {
    const far = ([x, y]: readonly [number, number]) =>
      (x - log.at[0]) ** 2 + (y - log.at[1]) ** 2 > FAR_LOG ** 2;
    if (anywhere && elements.every((one) => one.places.every(far)))
      problems.push({ code: 'logFar', path: `/ground/logs/${i}/at/0`, params: { name: log.name } });
  });
  // A wall cannot be squeezed: a floor counted up from the formation must leave room for its layers.
  for (const { live, decision, element } of elements)
    if (live && decision?.closure != null && decision.closure < -1e-6)
      problems.push({
        code: 'stackOpen',
        path: `/levels/floors/${floors.findIndex((f) => f.id === decision.floor)}/level`,
        value: -decision.closure,
        kind: 'size',
        params: { name: element.name },
      });
  return problems;
}
