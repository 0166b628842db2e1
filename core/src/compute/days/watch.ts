/** What to look to on the days of a job: rain that takes one, water that stands, what freezes, what gives, what is hot. */
import { keepsAs } from '../../base/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { dayMean } from '../../pour/index.ts';
import { type Crust, HOT } from '../../programme/index.ts';
import { nextDayOf } from '../../time/index.ts';
import type { Takeoff } from '../pipeline/takeoff.ts';
import type { Days, DayTask, Watch } from './days.ts';

/** Rain that softens a bottom that lies bare, m a day: assumed. */
const WETS = 0.002;

const dayOf = (local: string): string => local.slice(0, 10);

export function watchOf(
  plan: Plan,
  takeoff: Takeoff,
  open: readonly DayTask[],
  crust: readonly Crust[],
  floods: Days['floods'],
  list: Days['days'],
): Watch[] {
  const lost = new Set(list.flatMap((one) => (one.lost ? [one.day] : [])));
  const workedAfter = (day: string) =>
    list.find((one) => one.day > day && one.worked && !one.lost)?.day ?? nextDayOf(day);
  const { weather } = plan.days;
  const first = open.reduce((day, { begins }) => (begins < day ? begins : day), '9999').slice(0, 10);
  const last = open.reduce((day, { ends }) => (ends > day ? ends : day), '').slice(0, 10);
  const said = (code: Watch['code'], day: string, more: Partial<Watch> = {}): Watch => ({
    code,
    day,
    elements: [],
    pour: null,
    amount: null,
    until: null,
    ...more,
  });
  const out: Watch[] = weather.flatMap(({ day, rain }) =>
    lost.has(day) && day >= first && day <= last ? [said('rain', day, { amount: rain })] : [],
  );
  out.push(...flooded(floods, said), ...trimmed(plan, takeoff, open, said, workedAfter));
  for (const task of open) {
    if (task.kind !== 'pour') continue;
    const day = dayOf(task.begins);
    const hot = weather.find((one) => one.day === day);
    if (hot?.high != null && hot.high >= HOT)
      out.push(said('heat', day, { pour: task.pour, amount: hot.high }));
    // What is kept warm so long is kept warm over their nights.
    const kept = new Set([day]);
    let on = day;
    for (let k = 0; k < Math.ceil(plan.pour.cure.warm / 24); k++) {
      on = nextDayOf(on);
      kept.add(on);
    }
    const colds = weather.flatMap((one) => (kept.has(one.day) && one.low !== null ? [one.low] : []));
    const coldest = Math.min(...colds);
    if (coldest < 0) out.push(said('protect', day, { pour: task.pour, amount: coldest }));
  }
  out.push(...thawing(plan, open, crust, said));
  const more = open.filter(({ frozen, done }) => frozen * (1 - done) > 0.05);
  if (more.length > 0)
    out.push(
      said('frost', dayOf(more[0]!.begins), {
        elements: more.flatMap(({ element }) => element ?? []),
        amount: more.reduce((sum, { frozen, done }) => sum + frozen * (1 - done), 0),
      }),
    );
  return out.toSorted((p, q) => (p.day < q.day ? -1 : p.day > q.day ? 1 : 0));
}

type Saying = (code: Watch['code'], day: string, more?: Partial<Watch>) => Watch;

/** Holes that stand in the same water are told together. */
function flooded(floods: Days['floods'], said: Saying): Watch[] {
  const byWater = new Map<string, { elements: string[]; flood: Days['floods'][number] }>();
  for (const flood of floods) {
    const key = `${flood.day} ${flood.until} ${flood.still}`;
    const known = byWater.get(key);
    if (known) known.elements.push(flood.element);
    else byWater.set(key, { elements: [flood.element], flood });
  }
  return [...byWater.values()].map(({ elements, flood }) =>
    said(flood.still ? 'still' : 'flood', flood.day, { elements, amount: flood.deep, until: flood.until }),
  );
}

/** Bottoms that would lie bare in the rain: not to be trimmed before it is over. */
function trimmed(
  { days }: Plan,
  { elements, pours }: Takeoff,
  open: readonly DayTask[],
  said: Saying,
  workedAfter: (day: string) => string,
): Watch[] {
  const byDay = new Map<string, Watch>();
  if (days.weather.length === 0) return [];
  const trims = new Map(
    open.flatMap((task) => (task.kind === 'trim' ? [[task.element, task] as const] : [])),
  );
  for (const { id, bottomSoil } of elements) {
    const trim = trims.get(id);
    const kind = bottomSoil === null ? null : keepsAs(bottomSoil);
    if (!trim || kind === null || kind === 'sand') continue;
    const cover = open
      .filter((task) =>
        task.element === id
          ? task.kind === 'bed' || task.kind === 'lean'
          : task.kind === 'pour' && pours.some((pour) => pour.id === task.pour && pour.elements.includes(id)),
      )
      .reduce((day, task) => (dayOf(task.begins) < day ? dayOf(task.begins) : day), '9999');
    const bare = cover === '9999' ? dayOf(trim.ends) : cover;
    const wet = days.weather.filter(
      ({ day, rain }) => rain !== null && rain >= WETS && day >= dayOf(trim.begins) && day <= bare,
    );
    const rainy = wet.at(-1);
    if (!rainy) continue;
    const key = `${rainy.day}`;
    const known = byDay.get(key);
    byDay.set(
      key,
      said('trimLater', wet[0]!.day, {
        elements: [...(known?.elements ?? []), id],
        amount: rainy.rain,
        until: workedAfter(rainy.day),
      }),
    );
  }
  return [...byDay.values()];
}

/** The day the ground begins to give, with what is still to be cast on it by then. */
function thawing({ days }: Plan, open: readonly DayTask[], crust: readonly Crust[], said: Saying): Watch[] {
  const at = crust.findIndex(
    (_, i) => i > 0 && crust[i - 1]!.depth > 0 && (dayMean(days.weather[i]!) ?? 0) > 0,
  );
  const gives = crust[at];
  if (!gives) return [];
  const waits = open.filter((task) => task.kind === 'pour' && dayOf(task.ends) >= gives.day);
  return waits.length === 0
    ? []
    : [said('thaw', gives.day, { pour: waits[0]!.pour, amount: crust[at - 1]!.depth })];
}
