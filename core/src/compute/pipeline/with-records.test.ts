/** What moves nothing is not worked out again: whatever is logged, it is what a whole takeoff would be. */
import { expect, it } from 'vitest';
import {
  MORNING_ITEMS,
  RECORD_KIND_IDS,
  type RecordKindId,
  type RecordValue,
  type SiteRecord,
} from '../../log/index.ts';
import { DAY_VALUES, honeyHouse, logged } from '../../testing.ts';
import { compute, withRecords } from '../index.ts';

const plan = honeyHouse();
const on = { element: plan.elements[0]!.id };
const readings = [
  { blows: 0, depth: 0 },
  { blows: 5, depth: 0.1 },
];
const levels = [
  { minutes: 0, level: 98 },
  { minutes: 9, level: 98.4 },
];
const [bed] = plan.beds;
const lift = { ...on, placement: `bed/${bed!.id}/${bed!.layers[0]!.id}/1` };
const layer = { bed: bed!.id, layer: bed!.layers[0]!.id };

const inOrder = Object.fromEntries(
  MORNING_ITEMS.map((item) => [item, 'good']),
) as RecordValue<'morning'>['items'];

/** One of each kind, as it would be logged of this job. */
const ONE: { readonly [K in RecordKindId]: () => SiteRecord } = {
  dug: () => logged('dug', { machine: plan.dig.machine, when: '', volume: 60, hours: 8 }),
  handDug: () => logged('handDug', { volume: 2, hours: 3 }),
  lab: () => logged('lab', { ...layer, grains: 2.68, points: [] }),
  trial: () => logged('trial', { ...layer, thickness: 0.15, by: 'density', readings: [] }),
  bottom: () => logged('bottom', { feel: 'soft', wet: 'water', frozen: true, asLogged: false }, on),
  cone: () => logged('cone', { soil: 'other', readings }, on),
  risingHead: () => logged('risingHead', { length: 1, width: 1, water: 99, readings: levels }, on),
  laid: () => logged('laid', { on: 'sound', reason: '', moisture: null }, lift),
  density: () => logged('density', { wet: 1700, moisture: 0.05, cone: null }, lift),
  rework: () => logged('rework', { what: 'rolled' }, lift),
  release: () => logged('release', { who: 'x', reason: 'rain' }, lift),
  bay: () => logged('bay', { bay: 1, state: 'dug', who: '', role: 'lead', what: '' }, on),
  taped: () => logged('taped', { from: 'A', to: 'B', distance: 3 }),
  frozen: () => logged('frozen', { depth: 0.4, from: 'typed', when: '' }),
  exposed: () => logged('exposed', { hazard: plan.ground.hazards[0]!.id, bare: true }),
  setup: () => logged('setup', { mark: 'M', level: 100, backsight: 1.4 }),
  checkShot: () => logged('checkShot', { setup: 's', reading: 1.4 }),
  shot: () => logged('shot', { on: 'formation', from: { by: 'said', low: 0.05 } }, on),
  visit: () =>
    logged(
      'visit',
      { hold: 'bottom', verdict: 'released', who: 'x', role: 'inspector', what: '', finger: '' },
      on,
    ),
  asked: () => logged('asked', { hold: 'bottom', role: 'inspector', when: '' }, on),
  morning: () => logged('morning', { who: 'x', items: inOrder, note: '', finger: '' }),
  happened: () => logged('happened', { what: 'rain', note: '' }),
  change: () =>
    logged('change', {
      word: 'w1',
      what: 'level',
      thing: null,
      from: null,
      to: 98,
      who: 'x',
      role: 'engineer',
      why: '',
      amounts: [],
      cost: null,
    }),
  settled: () => logged('settled', { word: 'w1', how: 'taken', why: '' }),
  ticked: () => logged('ticked', { hold: 'forms', done: ['size'] }, on),
  wetted: () => logged('wetted', { pour: 'footings', day: '2026-10-14', done: true, note: '' }),
  leak: () => logged('leak', { day: '2026-10-14', depth: 2.4 }, on),
  poured: () => logged('poured', { pour: 'footings', casts: ['E1'], volume: 3.2, note: '' }),
  readied: () => logged('readied', { pour: 'footings', done: ['access'] }),
  ...(Object.fromEntries(
    Object.entries(DAY_VALUES).map(([kind, value]) => [
      kind,
      () => logged(kind as 'worked', value as never, on),
    ]),
  ) as Record<keyof typeof DAY_VALUES, () => SiteRecord>),
  note: () => logged('note', { text: 'rain' }),
};

it.each(RECORD_KIND_IDS)('after a record of kind %s', (kind) => {
  const before = [ONE.laid()];
  const takeoff = compute(plan, before);
  const records = [...before, ONE[kind]()];
  const whole = compute(plan, records);
  const told = withRecords(takeoff, records);
  if (told) expect(told).toEqual(whole);
  else expect(kind).not.toMatch(/^(bottom|cone|taped|note)$/);
});
