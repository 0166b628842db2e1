/** The backfill sheet: every hole by side and stage, its lifts and passes, what it waits for, what comes for it. */
import {
  compute,
  dayOf,
  type ElementFill,
  elementName,
  fillingOf,
  gutters,
  type Plan,
  plinthsLow,
  proved,
  type SideFill,
  type Takeoff,
} from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import type { Say } from '../messages/keys.ts';
import { sideText, stopText, tampingText } from '../ui/fillWords.ts';
import { type Format, makeFormat } from '../ui/format.tsx';
import { ranges } from '../ui/ranges.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { dateText, s } from './style.server.ts';

/** Widths of the columns, pt. */
const COLUMNS = { stage: 122, volume: 50, lifts: 42, thick: 84, fromString: 62, passes: 182 } as const;
type Column = keyof typeof COLUMNS;
const KEYS = Object.keys(COLUMNS) as Column[];

interface Row {
  readonly key: string;
  readonly cells: Readonly<Record<Column, string>>;
}
interface Group {
  readonly name: string;
  /** What it waits for. */
  readonly stops: readonly string[];
  readonly rows: readonly Row[];
}

/** Rows a page takes, heads and stops among them; each row two lines at the most. */
const A_PAGE = 27;
/** Fewer under the lines the sheet begins with. */
const FIRST = 20;

/** A stage on a side, with how much of it is laid and released. */
function rowsOf(fill: ElementFill, side: SideFill, t: Say, format: Format): Row[] {
  return side.stages.map(({ stage, volume, top }): Row => {
    const cards = side.cards.filter((card) => card.part === stage);
    const first = cards[0];
    const laid = cards.filter((card) => card.laid !== null).length;
    return {
      key: `${side.side}/${stage}`,
      cells: {
        stage: `${sideText(t, side)}: ${t(`backfill.stages.${stage}`)}`,
        volume: format.text(volume, 'volume'),
        lifts: first ? t('backfillSheet.laid', { laid, count: cards.length }) : '–',
        thick: first ? `${format.text(first.thickness, 'size')} / ${format.text(first.loose, 'size')}` : '–',
        fromString: format.text(fill.info.string.level - top, 'length'),
        passes: first && stage !== 'topsoil' ? tampingText(t, format, first) : '–',
      },
    };
  });
}

/** Groups cut into pages; a long one goes on overleaf under its name. */
function pagesOf(groups: readonly Group[]): Group[][] {
  const pages: Group[][] = [[]];
  let left = FIRST;
  for (const group of groups) {
    let rows = group.rows;
    let stops = group.stops;
    while (rows.length > 0 || stops.length > 0) {
      const head = 2 + stops.length;
      if (left < head + Math.min(2, rows.length)) {
        pages.push([]);
        left = A_PAGE;
      }
      const fits = Math.max(1, left - head);
      pages.at(-1)!.push({ name: group.name, stops, rows: rows.slice(0, fits) });
      left -= head + Math.min(fits, rows.length);
      rows = rows.slice(fits);
      stops = [];
    }
  }
  return pages;
}

/** How it is asked to be filled. */
function askedLines({ backfill }: Plan, t: Say, format: Format): string[] {
  const { maxLift, difference, cureDays, target } = backfill;
  const size = (of: number) => format.text(of, 'size');
  return [
    [
      ...(maxLift === null ? [] : [`${t('backfill.maxLift')}: ${size(maxLift)}`]),
      `${t('backfill.difference')}: ${size(difference)}`,
      `${t('backfill.cureDays')}: ${format.text(cureDays, 'days')}`,
    ].join(' · '),
    ...(target
      ? [
          t('backfillSheet.tests', {
            share: format.text(target.share, 'percent'),
            count: target.points,
            area: format.text(target.area, 'area'),
          }),
        ]
      : []),
  ];
}

/** What goes back, and what comes for it. */
function soilLines(
  plan: Plan,
  { spoil, strips }: Takeoff,
  topsoil: number,
  t: Say,
  format: Format,
): string[] {
  const volume = (of: number) => format.text(of, 'volume');
  const { broughtIn, need, fits } = spoil;
  const islands = strips.items.filter(({ stripped }) => stripped.kind === 'island');
  return [
    [
      `${t('backfill.void')}: ${volume(spoil.backfill)}`,
      ...(need.foot > 0 ? [`${t('backfill.foot')}: ${volume(need.foot)}`] : []),
      ...(topsoil > 0 ? [`${t('backfill.topsoilBack')}: ${format.text(topsoil, 'size')}`] : []),
    ].join(' · '),
    ...(broughtIn.tamped > 0
      ? [
          `${t('backfill.short')}: ${volume(broughtIn.tamped)} · ${t(`bedMaterial.${plan.backfill.bringIn.material}`)}, ${t('backfill.shortNote', { loose: volume(broughtIn.loose), count: broughtIn.loads })}`,
        ]
      : []),
    fits
      .map(
        ({ soil, use }) => `${soil.layer.name || t(`soil.${soil.layer.kind}`)}: ${t(`backfill.uses.${use}`)}`,
      )
      .join(' · '),
    ...strips.items.flatMap(({ stripped, bank, area }) =>
      stripped.kind === 'island'
        ? []
        : [
            [
              `${t(`strips.kind.${stripped.kind}`)} ${stripped.name}: ${volume(bank)}, ${format.text(area, 'area')}`,
              ...plan.site.areas.flatMap(({ id, name }) =>
                id === stripped.area ? [`${t('strips.lies')}: ${name}`] : [],
              ),
            ].join(' · '),
          ],
    ),
    ...(islands.length > 0
      ? [
          `${t('strips.kind.island')}: ${ranges(islands.map(({ stripped }) => stripped.name))}, ${volume(islands.reduce((sum, { bank }) => sum + bank, 0))}`,
        ]
      : []),
  ];
}

/** The ground once it is filled. */
function afterLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const { after } = plan.backfill;
  const size = (of: number) => format.text(of, 'size');
  return [
    ...(after
      ? [
          `${t('backfill.afterSaid')}: ${t('backfill.atWall')} ${size(after.fall * after.length)}, ${t('backfill.fallLength')} ${format.text(after.length, 'length')}`,
          ...plinthsLow(plan, takeoff.elements).map(({ id, plinth }) =>
            t('backfill.plinthLow', {
              name: elementName(plan, id),
              value: size(plinth),
              least: size(after.plinth),
            }),
          ),
        ]
      : []),
    ...gutters(plan, takeoff.elements).map(({ name, element }) =>
      t('backfill.gutter', { name, into: elementName(plan, element) }),
    ),
  ];
}

const Lines = ({ of }: { of: readonly string[] }) =>
  of.map((line) => (
    <Text key={line} style={s.line}>
      {line}
    </Text>
  ));

function GroupRows({ group: { name, stops, rows }, t }: { group: Group; t: Say }) {
  return (
    <View style={{ marginTop: 8 }}>
      <Text style={s.h}>{name}</Text>
      {stops.map((line) => (
        <Text key={line} style={{ ...s.line, color: '#a02733' }}>
          {line}
        </Text>
      ))}
      <View style={{ ...s.row, borderBottom: '1 solid #162329' }}>
        {KEYS.map((key) => (
          <Text key={key} style={{ ...s.cell, width: COLUMNS[key], fontSize: 8 }}>
            {t(`backfillSheet.${key}`)}
          </Text>
        ))}
      </View>
      {rows.map(({ key, cells }) => (
        <View key={key} style={{ ...s.row, borderBottom: '0.5 solid #9aa5a8' }} wrap={false}>
          {KEYS.map((column) => (
            <Text
              key={column}
              style={{
                ...s.cell,
                width: COLUMNS[column],
                ...(column === 'fromString' || column === 'volume'
                  ? { fontFamily: 'Figures', fontSize: 11 }
                  : { fontFamily: 'Words', fontSize: 8.4 }),
              }}
            >
              {cells[column]}
            </Text>
          ))}
        </View>
      ))}
    </View>
  );
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, savedAt, zone, t } = input;
  const format = makeFormat(lang, system);
  const takeoff = proved(plan, compute(plan, records));
  const filling = fillingOf(plan, takeoff, dayOf(savedAt.getTime(), zone));
  const groups = filling.elements.map(
    (fill): Group => ({
      name: fill.info.element.name,
      stops: fill.gate.map((stop) => stopText(t, format, stop)),
      rows: fill.sides.flatMap((side) => rowsOf(fill, side, t, format)),
    }),
  );
  const head = [
    ...(takeoff.figures.keep.known ? [] : [t('tally.stopped')]),
    ...soilLines(plan, takeoff, filling.topsoil, t, format),
    ...askedLines(plan, t, format),
    ...afterLines(plan, takeoff, t, format),
  ];
  const pages = pagesOf(groups).map((own, i, all) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: pages are made once, in order
    <View key={i} style={{ marginTop: 6 }}>
      {i === 0 && <Lines of={head} />}
      {groups.length === 0 && <Text style={s.line}>{t('backfill.nothing')}</Text>}
      {own.map((group) => (
        <GroupRows key={group.name} group={group} t={t} />
      ))}
      {i === all.length - 1 && (
        <Text style={{ marginTop: 8, fontSize: 8.4 }}>
          {t('backfillSheet.note', { date: dateText(savedAt, lang) })}
        </Text>
      )}
    </View>
  ));
  return (
    <SheetFrame
      {...input}
      title={t('backfill.sheet')}
      problems={takeoff.problems}
      format={format}
      pages={pages}
    />
  );
}

export const backfillPdf = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
