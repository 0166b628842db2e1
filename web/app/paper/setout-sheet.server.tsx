/** The set-out sheet as PDF: boards and strings, corners, and a check sheet with boxes to fill in. */
import { compute, elementName, type SetoutSheet, setoutSheet } from '@cimiento/core';
import { Circle, G, Line, Path, Svg, Text, View } from '@react-pdf/renderer';
import { about } from '../drawing/names.ts';
import { extent, polygonPath, viewOf } from '../drawing/view.ts';
import { type Format, makeFormat } from '../ui/format.tsx';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type PaperName, PlacedNames, paperSize } from './names.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

const INK = '#162329';
const EARTH = '#a9541f';
const CHALK = '#1b4fa0';
const HELD = '#a02733';

function Drawing({
  plan,
  takeoff,
  sheet,
  width,
  height,
}: {
  plan: SheetInput['plan'];
  takeoff: ReturnType<typeof compute>;
  sheet: SetoutSheet;
  width: number;
  height: number;
}) {
  const view = viewOf(extent(plan, takeoff, 'setout'), width, height, { k: 1, x: 0, y: 0 }, 12);
  const join = (polygons: readonly (readonly number[])[]) =>
    polygons.map((polygon) => polygonPath(view, polygon)).join('');
  const names = [
    ...sheet.points.map(({ name, at }) =>
      nameAt(`pin:${name}`, name, { size: 9, colour: HELD, rank: 0 }, [view.x(at[0]), view.y(at[1])], 6),
    ),
    ...sheet.boards.lines.flatMap((line) =>
      [...line.boards, ...line.steps].map(({ name, from, to }) =>
        nameAt(
          `board:${line.name}:${name}`,
          name,
          { size: 8, colour: INK, rank: 1 },
          [view.x((from[0] + to[0]) / 2), view.y((from[1] + to[1]) / 2)],
          Math.max(5, Math.hypot(to[0] - from[0], to[1] - from[1]) * view.scale * 0.7),
        ),
      ),
    ),
  ];
  return (
    <Svg width={width} height={height}>
      <Path d={join(takeoff.elements.flatMap((e) => e.openings))} fill="#f6e3d4" stroke="none" />
      <Path
        d={join(takeoff.elements.flatMap((e) => e.bottoms))}
        fill="#e9c4a4"
        stroke={EARTH}
        strokeWidth={0.4}
      />
      <Path
        d={join(takeoff.elements.flatMap((e) => e.footings.map((piece) => piece.plan)))}
        fill="#cfdad6"
        stroke={INK}
        strokeWidth={0.3}
      />
      {sheet.boards.lines.map((line) => (
        <G key={line.name}>
          <Line
            x1={view.x(line.boards[0].at[0])}
            y1={view.y(line.boards[0].at[1])}
            x2={view.x(line.boards[1].at[0])}
            y2={view.y(line.boards[1].at[1])}
            stroke={CHALK}
            strokeWidth={0.6}
          />
          {[...line.boards, ...line.steps].map((board) => (
            <G key={board.name}>
              <Line
                x1={view.x(board.from[0])}
                y1={view.y(board.from[1])}
                x2={view.x(board.to[0])}
                y2={view.y(board.to[1])}
                stroke={INK}
                strokeWidth={2.4}
              />
            </G>
          ))}
        </G>
      ))}
      {sheet.points.map((point) => (
        <G key={point.name}>
          <Circle cx={view.x(point.at[0])} cy={view.y(point.at[1])} r={2.2} fill="#ffffff" stroke={HELD} />
        </G>
      ))}
      <PlacedNames names={names} width={width} height={height} line={INK} />
    </Svg>
  );
}

/** A name beside a mark of a size, or led to it. */
function nameAt(
  id: string,
  text: string,
  look: Pick<PaperName, 'size' | 'colour' | 'rank'>,
  [x, y]: readonly [number, number],
  side: number,
): PaperName {
  const tag = paperSize(text, look.size);
  const mark = { x, y, width: side, height: side };
  return { id, text, ...look, ...tag, spots: about(mark, tag, 1), marks: [mark] };
}

const taped = (format: Format, value: number) => format.text(value, 'taped');

const STRINGS = { string: 40, for: 84, length: 58, level: 74, sag: 74, boards: 92, nails: 118 } as const;

type Strung = SetoutSheet['boards']['lines'][number];

function Strings({
  plan,
  lines,
  format,
  t,
}: {
  plan: SheetInput['plan'];
  lines: readonly Strung[];
  format: Format;
  t: SheetInput['t'];
}) {
  const size = (v: number) => format.text(v, 'size');
  return (
    <View style={{ marginTop: 6 }}>
      <Text style={s.h}>{t('boards.title')}</Text>
      <View style={[s.row, { borderBottom: '1 solid #162329' }]}>
        {(Object.keys(STRINGS) as (keyof typeof STRINGS)[]).map((key) => (
          <Text key={key} style={[s.cell, { width: STRINGS[key], fontSize: 8 }]}>
            {t(`boards.${key}`)}
          </Text>
        ))}
      </View>
      {lines.map((line) => (
        <View key={line.name} style={[s.row, { borderBottom: '0.5 solid #9fb0b2' }]} wrap={false}>
          <Text style={[s.cell, { width: STRINGS.string, fontWeight: 600 }]}>{line.name}</Text>
          <Text style={[s.cell, { width: STRINGS.for }]}>
            {line.elements.map((id) => elementName(plan, id)).join(', ')}
          </Text>
          <Text style={[s.cell, { width: STRINGS.length }]}>{taped(format, line.length)}</Text>
          <Text style={[s.cell, { width: STRINGS.level, fontWeight: 600 }]}>
            {line.rails.map((rail) => format.text(rail.level, 'level')).join(' / ')}
          </Text>
          <Text style={[s.cell, { width: STRINGS.sag, fontSize: 8 }]}>
            {size(line.sag)}
            {line.props === null
              ? ''
              : ` · ${t('boards.props', { span: format.text(line.props, 'length') })}`}
          </Text>
          <Text style={[s.cell, { width: STRINGS.boards, fontSize: 8 }]}>
            {[
              ...line.boards.map((board) => `${board.name}: ${format.text(board.beyond, 'length')}`),
              ...line.steps.map((step) =>
                t('boards.step', {
                  name: step.name,
                  along: format.text(step.along, 'length'),
                  levels: step.rails.map((rail) => format.text(rail.level, 'level')).join(' → '),
                }),
              ),
            ].join('   ')}
          </Text>
          <Text style={[s.cell, { width: STRINGS.nails, fontSize: 8 }]}>
            {line.boards[0].nails
              .filter((nail) => nail.offset > 0)
              .map((nail) => `${t(`boards.nail.${nail.what}`)} ± ${size(nail.offset)}`)
              .join(' · ')}
          </Text>
        </View>
      ))}
    </View>
  );
}

function Checks({
  sheet,
  checks,
  last,
  format,
  t,
}: {
  sheet: SetoutSheet;
  checks: SetoutSheet['checks'];
  /** The loops are told after the last of them. */
  last: boolean;
  format: Format;
  t: SheetInput['t'];
}) {
  const of = (from: string, to: string) =>
    sheet.adjustment.lines.find((l) => (l.from === from && l.to === to) || (l.from === to && l.to === from));
  return (
    <View style={{ marginTop: 8 }}>
      <Text style={s.h}>{t('check.title')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {checks.map((line) => {
          const known = of(line.from.name, line.to.name);
          return (
            <View
              key={`${line.from.name}-${line.to.name}`}
              wrap={false}
              style={[s.row, { width: '49%', marginRight: '1%', alignItems: 'center', marginBottom: 2 }]}
            >
              <Text style={{ width: 62, fontWeight: 600 }}>{`${line.from.name}–${line.to.name}`}</Text>
              <Text style={{ width: 54, fontSize: 8 }}>{t(`check.${line.kind}`)}</Text>
              <Text style={[s.number, { width: 62 }]}>{taped(format, line.distance)}</Text>
              <Text
                style={{
                  width: 74,
                  height: 15,
                  marginLeft: 6,
                  border: '0.8 solid #162329',
                  padding: 2,
                  fontSize: 9,
                }}
              >
                {known ? taped(format, known.measured) : ''}
              </Text>
            </View>
          );
        })}
      </View>
      {(last ? sheet.loops : []).map((loop) => {
        const names = [...loop.corners, loop.corners[0]!].map((corner) => corner.name).join('–');
        return (
          <Text key={names} style={{ marginTop: 2, fontSize: 9 }}>
            {loop.misclosure < 0.0005
              ? t('check.closes', { names })
              : t('check.misses', {
                  names,
                  by: format.text(loop.misclosure, 'size'),
                  ratio: format.text(loop.length / loop.misclosure, 'number', { decimals: 0 }),
                })}
          </Text>
        );
      })}
    </View>
  );
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const takeoff = compute(plan, records);
  const sheet = setoutSheet(plan, takeoff);
  const format = makeFormat(lang, system);
  const { lines } = sheet.boards;
  const strings = cutUp(lines, STRINGS_FIRST, STRINGS_A_PAGE);
  const left = lines.length <= STRINGS_FIRST ? roomUnder(lines) : 0;
  // Checks go on under the strings when those are few, else on pages of their own.
  const checks = cutUp(sheet.checks, left, CHECKS_A_PAGE);
  const checked = checks.map((some, i) => (
    <Checks
      key={`checks${some[0]?.from.name}${some[0]?.to.name}`}
      sheet={sheet}
      checks={some}
      last={i === checks.length - 1}
      format={format}
      t={t}
    />
  ));
  const strung = strings.map((some) => (
    <Strings key={`strings${some[0]?.name}`} plan={plan} lines={some} format={format} t={t} />
  ));
  const defer = (
    <View key="defer" style={{ marginTop: 6 }}>
      <Text style={{ fontWeight: 600 }}>{t('caution.defer.title')}</Text>
      <Text>{t('caution.defer.text')}</Text>
    </View>
  );
  const drawing = (
    <View key="drawing" style={{ marginTop: 5 }}>
      <Drawing plan={plan} takeoff={takeoff} sheet={sheet} width={540} height={270} />
    </View>
  );
  const together = left > 0 || checks.length === 0 ? 1 : 0;
  const pages: React.ReactNode[][] = [
    [drawing, ...strung.slice(0, 1), ...checked.slice(0, together)],
    ...strung.slice(1).map((page) => [page]),
    ...checked.slice(together).map((page) => [page]),
  ];
  pages[pages.length - 1]!.push(defer);
  return (
    <SheetFrame
      {...input}
      title={t('drawing.sheet')}
      problems={takeoff.problems}
      format={format}
      pages={pages}
    />
  );
}

/**
 * Rows a page takes, cut up beforehand: laid out as one the whole rest would be laid out again for
 * every page, and a large job would take the square of its time.
 */
const STRINGS_FIRST = 12;
const STRINGS_A_PAGE = 22;
const CHECKS_A_PAGE = 76;
/** Points of the first page left under head and drawing, and what a string and two checks take. */
const FIRST_LEFT = 415;
const STRING_HEIGHT = { plain: 20, propped: 30 } as const;
const CHECKS_HEIGHT = 17;

/** How many checks go under some strings on the first page. */
function roomUnder(lines: readonly Strung[]): number {
  const taken = lines.reduce(
    (sum, line) => sum + (line.props === null ? STRING_HEIGHT.plain : STRING_HEIGHT.propped),
    0,
  );
  return 2 * Math.max(0, Math.floor((FIRST_LEFT - taken) / CHECKS_HEIGHT));
}

/** A list cut up: so many on the first page, so many on each after. */
function cutUp<T>(list: readonly T[], first: number, each: number): (readonly T[])[] {
  if (list.length === 0) return [];
  const out: (readonly T[])[] = first > 0 ? [list.slice(0, first)] : [];
  for (let i = first; i < list.length; i += each) out.push(list.slice(i, i + each));
  return out;
}

/** Renders a job's set-out sheet. */
export const setoutPdf = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
