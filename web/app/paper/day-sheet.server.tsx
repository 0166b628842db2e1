/** A day on paper: who was here, what was done, what stood and what it cost, beside what was planned. */
import {
  compute,
  type DayReport,
  DELIVERIES,
  daysOf,
  FIGURE_IDS,
  hoursTo,
  minutesLate,
  overrun,
  progressTo,
  reportOf,
  type Takeoff,
} from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { Say } from '../messages/keys.ts';
import { dayText } from '../ui/days.ts';
import { type Format, makeFormat } from '../ui/format.tsx';
import { recordText } from '../ui/records.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { photoPages } from './photo-pages.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

const RULE = '0.5 solid #9aa5a8';
/** Lines a page takes beside its heads. */
const A_PAGE = 40;

/** A line of the sheet, with what it is a line of. */
interface Line {
  readonly key: string;
  readonly head?: true;
  readonly cells: readonly (readonly [text: string, width: number | null])[];
}

const head = (text: string): Line => ({ key: `head ${text}`, head: true, cells: [[text, null]] });
const line = (key: string, ...cells: Line['cells']): Line => ({ key, cells });
/** A head with its lines; neither where there are none. */
const under = (title: string, lines: readonly Line[]): Line[] =>
  lines.length > 0 ? [head(title), ...lines] : [];

/** Minutes late or early, in words; empty where either time is not known. */
function lateText(t: Say, due: string | null, came: string | null): string {
  if (due === null || came === null) return '';
  const minutes = minutesLate(due, came);
  const said = minutes === 0 ? 'onTime' : minutes > 0 ? 'late' : 'early';
  return `${due} · ${came}: ${t(`day.table.${said}`, { minutes: Math.abs(minutes) })}`;
}

interface Saying {
  readonly t: Say;
  readonly format: Format;
  readonly input: SheetInput;
}

function done({ t, format, input: { plan } }: Saying, report: DayReport): Line[] {
  const hours = (value: number) => format.text(value, 'hours');
  const volume = (value: number) => format.text(value, 'volume');
  /** A line of what there is; of none nothing is said. */
  const of = (
    amount: number,
    key: 'byHand' | 'out' | 'pumped' | 'fallen',
    values: Readonly<Record<string, string | number>>,
  ): Line[] => (amount > 0 ? [line(key, [t(`day.table.${key}`, values), null])] : []);
  const named = (id: string) => plan.dig.machines.find((one) => one.id === id)?.name ?? id;
  return [
    ...under(
      t('day.table.people'),
      report.people.map(({ who, hours: own }) => line(`who ${who}`, [who, 200], [hours(own), null])),
    ),
    ...under(t('day.table.work'), [
      ...report.machines.map(({ machine, volume: dug, hours: own }) =>
        line(`machine ${machine}`, [named(machine), 200], [volume(dug), 110], [hours(own), null]),
      ),
      ...of(report.byHand.loose, 'byHand', {
        volume: volume(report.byHand.loose),
        hours: hours(report.byHand.hours),
      }),
      ...of(report.loads.count, 'out', { count: report.loads.count, volume: volume(report.loads.loose) }),
      ...of(report.pumpHours, 'pumped', { hours: hours(report.pumpHours) }),
      ...of(report.fallen, 'fallen', { volume: volume(report.fallen) }),
    ]),
  ];
}

/** What came, and what stood. */
function cameAndStood({ t, format, input: { plan, records } }: Saying, report: DayReport): Line[] {
  const tickets = report.records.flatMap((record) =>
    record.kind === 'delivered' && record.value ? [{ ...record, value: record.value }] : [],
  );
  const stops = report.stops.map((record) => {
    const { value } = recordText(
      t,
      format,
      plan,
      record,
      records.find(({ id }) => id === record.corrects),
    );
    return line(record.id, [value, null]);
  });
  const cost =
    report.stopCost === null
      ? t('day.table.stopUnpriced')
      : t('day.table.stopCost', {
          cost: `${format.text(report.stopCost, 'price', { decimals: 0 })} ${plan.prices.currency}`.trim(),
        });
  return [
    ...under(
      t('day.table.deliveries'),
      DELIVERIES.flatMap((of) =>
        tickets
          .filter(({ value }) => value.of === of)
          .map((record) =>
            line(
              record.id,
              [recordText(t, format, plan, record).value, 330],
              [lateText(t, record.value.due, record.value.arrived), null],
            ),
          ),
      ),
    ),
    ...under(t('day.table.stops'), stops),
    ...(stops.length > 0 ? [line('cost', [cost, null])] : []),
  ];
}

/** Headline figures beside what is done of them; what no record tells is a dash. */
function progress(
  { t, format, input: { records, zone } }: Saying,
  { figures }: Takeoff,
  day: string,
): Line[] {
  const all = progressTo(figures, records, day, zone);
  return [
    line('columns', [t('day.table.figure'), 200], [t('day.table.planned'), 110], [t('day.table.done'), null]),
    ...FIGURE_IDS.flatMap((id) => {
      const figure = figures[id];
      if (!figure.known || (figure.value === 0 && all[id].done === null)) return [];
      const text = (value: number | null) => (value === null ? '–' : format.text(value, figure.kind));
      return [
        line(
          `figure ${id}`,
          [t(`tally.${id}.name`), 200],
          [text(figure.value), 110],
          [text(all[id].done), null],
        ),
      ];
    }),
  ];
}

/** Hours planned beside those done so far, and what the difference comes to at the machine's price. */
function hoursBeside(
  { t, format, input: { plan, records, zone } }: Saying,
  { work }: Takeoff,
  day: string,
): Line[] {
  const done = hoursTo(records, day, zone);
  const hours = (value: number) => format.text(value, 'hours');
  const machine = plan.dig.machines.find(({ id }) => id === plan.dig.machine);
  const planned = work.machines.find((one) => one.machine === plan.dig.machine)?.hours ?? 0;
  const price = plan.prices.machineHour;
  const own = done.machines.get(plan.dig.machine) ?? null;
  const more =
    own === null || price === null
      ? ''
      : t('day.table.difference', {
          cost: `${format.text(overrun(planned, own, price), 'price', { decimals: 0 })} ${plan.prices.currency}`.trim(),
        });
  const row = (key: string, name: string, asked: number, spent: number | null, said = ''): Line[] =>
    asked > 0 || spent !== null
      ? [
          line(
            key,
            [name, 200],
            [hours(asked), 110],
            [[spent === null ? '–' : hours(spent), said].filter(Boolean).join(' · '), null],
          ),
        ]
      : [];
  return [
    ...row('hours machine', machine?.name ?? '', planned, own, more),
    ...row('hours hand', t('teaches.byHand'), work.hand.hours, done.byHand),
  ];
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, zone, t } = input;
  const format = makeFormat(lang, system);
  const saying = { t, format, input };
  const takeoff = compute(plan, records);
  const day = input.day ?? daysOf(records, zone)[0] ?? input.savedAt.toISOString().slice(0, 10);
  const report = reportOf(records, day, zone);
  const weather = report.records.findLast(({ kind }) => kind === 'weather');
  const lines = [
    ...under(
      t('record.weather'),
      weather ? [line('weather', [recordText(t, format, plan, weather).value, null])] : [],
    ),
    ...done(saying, report),
    ...cameAndStood(saying, report),
    ...under(
      t('day.table.told'),
      report.told.map((record) => {
        const { what, value } = recordText(t, format, plan, record);
        return line(record.id, [`${what}: ${value}`, null]);
      }),
    ),
  ];
  const all = [
    head(t('day.of', { day: dayText(lang, day) })),
    ...(lines.length > 0 ? lines : [line('none', [t('day.table.noRecords'), null])]),
    head(t('day.table.beside')),
    ...progress(saying, takeoff, day),
    ...hoursBeside(saying, takeoff, day),
    line('note', [t('day.table.note'), null]),
  ];
  const pages: Line[][] = [[]];
  for (const [i, one] of all.entries()) {
    const page = pages.at(-1)!;
    // A head is never alone at the foot of a page.
    const last = one.head && all[i + 1] !== undefined ? A_PAGE - 2 : A_PAGE;
    if (page.length >= last) pages.push([one]);
    else page.push(one);
  }
  return (
    <SheetFrame
      {...input}
      title={t('day.sheetTitle')}
      problems={[]}
      format={format}
      pages={[
        ...pages.map((page, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: pages are made once, in order
          <View key={i} style={{ marginTop: 6 }}>
            {page.map((one) => (
              <Row key={one.key} line={one} />
            ))}
          </View>
        )),
        ...photoPages(input, report.records),
      ]}
    />
  );
}

function Row({ line: { head: isHead, cells } }: { line: Line }) {
  return (
    <View
      style={{ ...s.row, borderBottom: isHead ? '1 solid #162329' : RULE, marginTop: isHead ? 8 : 0 }}
      wrap={false}
    >
      {cells.map(([text, width], i) => (
        <Text
          // biome-ignore lint/suspicious/noArrayIndexKey: cells stand in their columns
          key={i}
          style={{
            ...(isHead ? s.h : s.cell),
            ...(width === null ? { flex: 1 } : { width }),
          }}
        >
          {text}
        </Text>
      ))}
    </View>
  );
}

export const dayPdf = (input: SheetInput): Promise<Printed> => print((how) => <Sheet {...input} {...how} />);
