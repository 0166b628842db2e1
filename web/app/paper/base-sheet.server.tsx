/** The base sheet: every lift with its levels and passes, what was laid, tested and released of it. */
import {
  compute,
  type LiftCard,
  labOf,
  layerValues,
  leanStakes,
  liftPace,
  type Plan,
  proved,
  type Takeoff,
} from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { Say } from '../messages/keys.ts';
import { type Format, makeFormat } from '../ui/format.tsx';
import { compactorText } from '../ui/plant.ts';
import { layerName } from '../ui/words.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { dateText, s } from './style.server.ts';

type Live = Takeoff['elements'][number];

/** Room under the head of a page, pt: A4 is the taller. */
const ROOM = { metric: 742, imperial: 692 } as const;
/** What heads take, pt: a bed's with the columns', an element's. */
const BED = 44;
const ELEMENT = 17;
/** A line of a row, the air round it, and about how wide a letter is, pt. */
const LINE = 10.6;
const AIR = 5;
const LETTER = 3.8;
/** Letters of a line over the whole width. */
const WIDE = 118;

/** Widths of the columns, pt. */
const COLUMNS = {
  lift: 128,
  top: 56,
  fromString: 58,
  thick: 78,
  passes: 88,
  tests: 68,
  stands: 66,
} as const;

/** A lift of an element as it is printed. */
interface Row {
  readonly of: Live;
  readonly card: LiftCard;
  readonly cells: Readonly<Record<keyof typeof COLUMNS, string>>;
}
/** Rows of one bed that stand on one page, an element's together under its name. */
interface Table {
  readonly bed: string;
  readonly elements: { readonly of: Live; readonly rows: Row[] }[];
}

/** What a lift's tests came to, the last first named. */
const testsText = (t: Say, format: Format, { tests, wanted }: LiftCard): string =>
  tests.length === 0
    ? wanted > 0
      ? t('proof.tests', { passed: 0, wanted })
      : '–'
    : tests
        .map(({ share, fault }) => (fault !== null || share === null ? '?' : format.text(share, 'percent')))
        .join(', ');

/** Less than this is none, kg: it would print as 0.0. */
const LEAST_WATER = 50;
/** Water a lift wants, or must lose; nothing while either moisture is not known. */
const waterText = (t: Say, format: Format, { water }: LiftCard): string =>
  water === null || Math.abs(water) < LEAST_WATER
    ? ''
    : `${t(water >= 0 ? 'proof.water' : 'proof.dry')} ${format.text(Math.abs(water), 'mass')}`;

function standsText(t: Say, { state, release }: LiftCard): string {
  const said = release?.value ? [release.value.who, release.value.reason].filter(Boolean).join(': ') : '';
  return [t(`proof.state.${state}`), said].filter(Boolean).join('\n');
}

/** Tonnes of a lift, and how long one person is at it in how many strips. */
function workText(t: Say, format: Format, plan: Plan, of: Live, card: LiftCard): string {
  const laid = of.layers.find(({ layer }) => layer.id === card.layer.id);
  if (!laid) return '';
  const mass = (laid.volume / card.count) * layerValues(card.layer).density;
  const pace = liftPace(card.layer, laid.area, of.width.dug, plan.compactors);
  return [
    format.text(mass, 'mass'),
    ...(pace
      ? [t('baseSheet.pace', { count: pace.strips, minutes: Math.max(1, Math.round(pace.minutes)) })]
      : []),
  ].join(' · ');
}

function cellsOf(plan: Plan, of: Live, card: LiftCard, t: Say, format: Format): Row['cells'] {
  return {
    lift: [
      t('proof.lift', { layer: layerName(t, card.layer), lift: card.lift, count: card.count }),
      workText(t, format, plan, of, card),
    ].join('\n'),
    top: format.text(card.top, 'level'),
    fromString: format.text(of.string.level - card.top, 'length'),
    thick: `${format.text(card.thickness, 'size')} / ${format.text(card.loose, 'size')}`,
    passes: [
      card.layer.compactor
        ? `${card.passes.join('–')} · ${compactorText(t, format, card.layer.compactor)}`
        : '–',
      waterText(t, format, card),
    ]
      .filter(Boolean)
      .join('\n'),
    tests: testsText(t, format, card),
    stands: standsText(t, card),
  };
}

const KEYS = Object.keys(COLUMNS) as (keyof typeof COLUMNS)[];

/** About what a row takes, pt: its longest cell decides. */
const heightOf = ({ cells }: Row): number =>
  AIR +
  LINE *
    Math.max(
      ...KEYS.map((key) =>
        cells[key]
          .split('\n')
          .reduce((sum, text) => sum + Math.max(1, Math.ceil((text.length * LETTER) / COLUMNS[key])), 0),
      ),
    );

/**
 * Rows cut into pages: a bed's heads stand once, and again where it goes on overleaf; no head stands alone
 * at a page's end.
 * @param first room on the first page, pt
 */
function pagesOf(rows: readonly Row[], first: number, room: number): { tables: Table[]; left: number }[] {
  const pages = [{ tables: [] as Table[], left: first }];
  for (const row of rows) {
    const bed = row.of.bed?.name ?? '';
    const needed = (page: (typeof pages)[number]) => {
      const table = page.tables.at(-1);
      const going = table?.bed === bed;
      const own = going && table.elements.at(-1)?.of.id === row.of.id;
      return (going ? 0 : BED) + (own ? 0 : ELEMENT) + heightOf(row);
    };
    if (needed(pages.at(-1)!) > pages.at(-1)!.left) pages.push({ tables: [], left: room });
    const page = pages.at(-1)!;
    page.left -= needed(page);
    if (page.tables.at(-1)?.bed !== bed) page.tables.push({ bed, elements: [] });
    const { elements } = page.tables.at(-1)!;
    if (elements.at(-1)?.of.id !== row.of.id) elements.push({ of: row.of, rows: [] });
    elements.at(-1)!.rows.push(row);
  }
  return pages;
}

function Lift({ row: { card, cells } }: { row: Row }) {
  return (
    <View style={{ ...s.row, borderBottom: '0.5 solid #9aa5a8' }} wrap={false}>
      {KEYS.map((key) => (
        <Text
          key={key}
          style={{
            ...s.cell,
            width: COLUMNS[key],
            ...(key === 'top' || key === 'fromString'
              ? { fontFamily: 'Figures', fontSize: 11 }
              : { fontSize: 8.4 }),
            ...(key === 'stands' && card.state === 'failed' ? { color: '#a02733' } : {}),
          }}
        >
          {cells[key]}
        </Text>
      ))}
    </View>
  );
}

function BedTable({ table: { bed, elements }, t }: { table: Table; t: Say }) {
  return (
    <View style={{ marginTop: 8 }}>
      <Text style={s.h}>{bed}</Text>
      <View style={{ ...s.row, borderBottom: '1 solid #162329' }}>
        {KEYS.map((key) => (
          <Text key={key} style={{ ...s.cell, width: COLUMNS[key], fontSize: 8 }}>
            {t(`baseSheet.${key}`)}
          </Text>
        ))}
      </View>
      {elements.map(({ of, rows }) => (
        <View key={of.id}>
          <Text style={{ fontWeight: 600, marginTop: 3 }}>{of.element.name}</Text>
          {rows.map((row) => (
            <Lift key={`${row.card.layer.id}:${row.card.lift}`} row={row} />
          ))}
        </View>
      ))}
    </View>
  );
}

/** The laboratory's maximum of every layer tested, a line each. */
function laboratory({ facts, beds }: Takeoff, t: Say, format: Format): string[] {
  return beds.flatMap(({ bed }) =>
    bed.layers.flatMap((layer) => {
      const lab = labOf(facts, bed.id, layer.id);
      if (!lab?.ok) return [];
      const result = t('proof.labResult', {
        maximum: format.text(lab.maximum, 'density'),
        optimum: format.text(lab.optimum, 'percent'),
      });
      const asked = layer.target
        ? t('proof.wanted', { share: format.text(layer.target.share, 'percent', { decimals: 0 }) })
        : '';
      return [[`${bed.name}, ${layerName(t, layer)}: ${result}`, asked].filter(Boolean).join(' · ')];
    }),
  );
}

/** Soft spots and levelled stakes, a line each: what is taken out, put back, and drawn off to. */
function bottomLines(plan: Plan, { soft, elements }: Takeoff, t: Say, format: Format): string[] {
  const spots = soft.map(({ spot, volume, lifts, lowest, pieces }) => {
    const string = elements[pieces[0]?.owner ?? -1]?.string.level;
    return [
      t('softSpot.onPlan', { name: spot.name, depth: format.text(spot.depth, 'size') }),
      format.text(volume, 'volume'),
      ...(lowest !== null && string !== undefined
        ? [`${t('softSpot.fromString')} ${format.text(string - lowest, 'length')}`]
        : []),
      t(`bedMaterial.${spot.material}`),
      ...(lifts
        ? [
            t('softSpot.lifts', {
              count: lifts.count,
              lift: format.text(lifts.thickness, 'size'),
              loose: format.text(lifts.loose, 'size'),
            }),
          ]
        : []),
    ].join(' · ');
  });
  const stakes = elements.flatMap((info) => {
    const found = leanStakes(plan, info);
    return found
      ? [
          [
            `${info.element.name}: ${t('working.stakes')} ${t('working.stakesNote', {
              along: found.along,
              across: found.across,
              spacing: format.text(found.spacing, 'length'),
            })}`,
            `${t('working.tops')} ${format.text(info.string.level - found.top, 'length')}`,
          ].join(' · '),
        ]
      : [];
  });
  return [...spots, ...stakes];
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, savedAt, t } = input;
  const format = makeFormat(lang, system);
  const takeoff = proved(plan, compute(plan, records));
  // What lies on one bed stands together.
  const rows = takeoff.beds.flatMap(({ bed }) =>
    takeoff.elements.flatMap((of) =>
      of.bed?.id === bed.id
        ? of.cards.toReversed().map((card): Row => ({ of, card, cells: cellsOf(plan, of, card, t, format) }))
        : [],
    ),
  );
  const lab = [
    ...(takeoff.figures.stone.known ? [] : [t('tally.stopped')]),
    ...laboratory(takeoff, t, format),
  ];
  const bottoms = bottomLines(plan, takeoff, t, format);
  const room = ROOM[system];
  const linesHigh = (of: readonly string[]) =>
    of.reduce((sum, text) => sum + 14 * Math.ceil(text.length / WIDE), 0);
  const pages = pagesOf(rows, room - linesHigh(lab), room);
  // What closes the sheet keeps together, on a page of its own where there is no room.
  const closing = linesHigh(bottoms) + 40;
  const runsOn = pages.at(-1)!.left < closing ? [{ tables: [], left: room }] : [];
  const lines = (of: readonly string[]) =>
    of.map((line) => (
      <Text key={line} style={s.line}>
        {line}
      </Text>
    ));
  const shown = [...pages, ...runsOn].map(({ tables }, i, all) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: pages are made once, in order
    <View key={i} style={{ marginTop: 6 }}>
      {i === 0 && lines(lab)}
      {rows.length === 0 && <Text style={s.line}>{t('proof.noLifts')}</Text>}
      {tables.map((table) => (
        <BedTable key={table.bed} table={table} t={t} />
      ))}
      {i === all.length - 1 && (
        <View style={{ marginTop: 6 }}>
          {lines(bottoms)}
          <Text style={{ marginTop: 8, fontSize: 8.4 }}>
            {t('baseSheet.note', { date: dateText(savedAt, lang) })}
          </Text>
        </View>
      )}
    </View>
  ));
  return (
    <SheetFrame
      {...input}
      title={t('baseSheet.title')}
      problems={takeoff.problems}
      format={format}
      pages={shown}
    />
  );
}

export const basePdf = (input: SheetInput): Promise<Printed> => print((how) => <Sheet {...input} {...how} />);
