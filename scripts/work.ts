/** Pieces of work that are timed: the bench prints them, the budgets hold them. Each is made once and asked again. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  chanceDry,
  compute,
  digSequence,
  newPump,
  nightOf,
  type Plan,
  programmeOf,
  type SiteRecord,
  type Takeoff,
} from '@cimiento/core';
import { readLandXml, readPlan } from '@cimiento/formats';
import { random, simulatedJob, simulatedSurvey } from '@cimiento/simulators';
import { ROOT } from './postgres.ts';

export const demo = (name: string): Plan => {
  const read = readPlan(readFileSync(join(ROOT, 'demo', `${name}.json`), 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.plan;
};

/** Spots that differ from all before by a hair. */
let hair = 0;

/** A plan on ground nobody has seen: its hundredth spot a hair higher each time, so that nothing is remembered. */
export function unseen(plan: Plan): Plan {
  const { surface } = plan.ground;
  if (surface.kind !== 'spots') throw new Error('surveyed ground is wanted');
  hair += 1e-7;
  const points = surface.points.map((p, i) => (i === 100 ? ([p[0], p[1], p[2] + hair] as const) : p));
  return { ...plan, ground: { ...plan.ground, surface: { ...surface, points: points.map((p) => [...p]) } } };
}

/** A surveyed job, and the same each time with one cross wall moved a centimetre. */
export function edits(count: number, triangles: number): () => Plan {
  let plan = simulatedSurvey(count, triangles);
  compute(plan);
  return () => {
    plan = {
      ...plan,
      elements: plan.elements.map((e, i) =>
        i === 4 && e.kind === 'strip' ? { ...e, points: e.points.map(([x, y]) => [x + 0.01, y]) } : e,
      ),
    };
    return plan;
  };
}

/** Thirty holes under three days of rain. */
export function stormy(): { readonly plan: Plan; readonly takeoff: Takeoff } {
  const plan = simulatedJob(60);
  plan.elements = plan.elements.filter((_, i) => i % 2 === 0);
  plan.water.storm = { start: '2026-11-25T20:00', depth: 0.04, hours: 66, pattern: 'centre', hourly: [] };
  plan.water.dryBy = '2026-11-28T18:00';
  plan.water.record = { two: 0.04, ten: 0.07 };
  plan.water.pumps = plan.elements
    .slice(0, 3)
    .map((e, i) => ({ ...newPump(plan, 'electric50', e.id), id: `p${i}` }));
  return { plan, takeoff: compute(plan) };
}

export const night = ({ plan, takeoff }: ReturnType<typeof stormy>) => nightOf(plan, takeoff);
export const storms = ({ plan, takeoff }: ReturnType<typeof stormy>, count: number) =>
  chanceDry(plan, takeoff, [plan.elements[0]!.id], count);

/** Finding the order of a job of so many trenches. */
export function ordering(count: number): () => unknown {
  const plan = simulatedJob(count);
  const takeoff = compute(plan);
  return () => digSequence(plan, takeoff);
}

/** Putting a job of so many elements in time, its takeoff given. */
export function inTime(count: number): () => unknown {
  const plan = simulatedJob(count);
  plan.days = { ...plan.days, start: '2026-11-02' };
  const takeoff = compute(plan);
  return () => programmeOf(plan, takeoff, { today: '2026-11-02' });
}

/** A made-up survey: hills over 400 × 300 m, and a centimetre of roughness. */
export function hills(count: number): [number, number, number][] {
  const next = random(5);
  return Array.from({ length: count }, () => {
    const [x, y] = [next() * 400, next() * 300];
    return [x, y, 100 + 2 * Math.sin(x / 40) + Math.cos(y / 30) + (next() - 0.5) * 0.01];
  });
}

export function landXmlOf(points: readonly (readonly [number, number, number])[]): string {
  const all = points.map(([x, y, z], i) => `<P id="${i}">${y} ${x} ${z}</P>`).join('');
  return `<LandXML><Surfaces><Surface><Definition surfType="TIN"><Pnts>${all}</Pnts></Definition></Surface></Surfaces></LandXML>`;
}

export function readingLandXml(count: number): () => unknown {
  const xml = landXmlOf(hills(count));
  return () => readLandXml(xml);
}

/** Folding so many records into what they amount to, as a page that opens a job does. */
export function folding(count: number): () => unknown {
  const plan = demo('bell-frame');
  const records = Array.from(
    { length: count },
    (_, i): SiteRecord => ({
      id: `r${i}`,
      kind: 'note',
      at: new Date(Date.UTC(2026, 3, 1, 6) + 60_000 * i).toISOString(),
      by: '',
      element: `P${1 + (i % 6)}`,
      placement: null,
      place: null,
      corrects: null,
      after: null,
      revision: null,
      value: { text: `Bottom ${i} seen and swept` },
    }),
  );
  // A new list each time: what was folded last is remembered by its list.
  return () => compute(plan, [...records]);
}
