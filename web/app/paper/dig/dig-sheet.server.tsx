/**
 * The dig sheet as PDF, readable when wet and dirty: stops first, the key plan, depths from the string in
 * large letters, a card for each thing dug, then layers, loads and orders. Each page is of use alone.
 */
import { compute, type Nought, proved, runningDimensions } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import { makeFormat } from '../../ui/format.tsx';
import { SheetFrame, type SheetInput } from '../frame.tsx';
import { type Printed, print } from '../print.server.ts';
import { s } from '../style.server.ts';
import { CARDS_ON_PAGE, Card } from './Cards.tsx';
import { byString, Depths, HEADS, type Of, rowHeight } from './Depths.tsx';
import { KeyPlan } from './KeyPlan.tsx';
import { kindLines, layerLines, loadLines, nightLines, orderLines, pencilLines } from './lines.ts';
import { type Row, rowsOf } from './rows.ts';
import { Cautions, Foot, Heading, stopsHeight, stopsOf } from './Stops.tsx';

/** Between head and foot of a page, pt: A4 is the taller. */
const ROOM = { metric: 718, imperial: 666 } as const;
const WIDTH = 540;
/** Of the key plan, pt: less is too small to find anything by, more helps nobody. */
const PLAN = { least: 220, most: 430 } as const;
/** Things dug otherwise that get a card; the table has them all. */
const MOST_CARDS = 30;

const chunks = <T,>(list: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));

type StringRows = { readonly string: Of; readonly rows: readonly Row[] };

/** Tables cut into pages: what does not fit on one goes on the next, with its heads. */
function cutTables(tables: readonly StringRows[], first: number, page: number): StringRows[][] {
  const pages: StringRows[][] = [[]];
  let left = first;
  for (const { string, rows } of tables) {
    let own: Row[] = [];
    const put = () => {
      if (own.length > 0) pages.at(-1)!.push({ string, rows: own });
      own = [];
    };
    const needed = (row: Row) => rowHeight(row) + (own.length === 0 ? HEADS : 0);
    for (const row of rows) {
      if (needed(row) > left) {
        put();
        pages.push([]);
        left = page;
      }
      left -= needed(row);
      own.push(row);
    }
    put();
  }
  return pages;
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <View style={{ marginBottom: 7 }}>
      <Heading>{title}</Heading>
      {lines.map((text) => (
        <Text key={text} style={{ fontSize: 10.5, marginBottom: 2 }}>
          {text}
        </Text>
      ))}
    </View>
  );
}

/** What a tape is held at: the axis of T4, the face of a slab. */
const noughtText = (t: SheetInput['t'], { name, by }: Nought): string => t(`sheet.nought.${by}`, { name });

/** Blocks that have something to say. */
const Blocks = ({ of }: { of: readonly (readonly [string, readonly string[]])[] }) =>
  of.flatMap(([title, lines]) =>
    lines.length > 0 ? [<Lines key={title} title={title} lines={lines} />] : [],
  );

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const takeoff = proved(plan, compute(plan, records));
  const format = makeFormat(lang, system);
  const shown = { plan, takeoff, t, format };
  const rows = rowsOf(plan, takeoff, format);
  const tables = byString(plan, rows);
  const stops = stopsOf(takeoff);
  const page = ROOM[system];
  const room = page - stopsHeight(shown);
  const high = tables.reduce(
    (sum, { rows: own }) => sum + HEADS + own.reduce((all, row) => all + rowHeight(row), 0),
    0,
  );
  // All on the first page where the key plan keeps its size; else the table begins on the second.
  const together = room - high >= PLAN.least;
  const drawing = Math.min(PLAN.most, Math.max(PLAN.least, together ? room - high - 24 : room - 24));
  const [onFirst = [], ...onOthers] = cutTables(tables, together ? room : 0, page);
  const cards = byString(plan, rows.slice(0, MOST_CARDS)).flatMap(({ string, rows: own }) =>
    own.map((row) => ({ string, row })),
  );
  const kinds = kindLines(plan, takeoff, t, format);
  const running = runningDimensions(plan.elements);
  const table = (of: readonly StringRows[]) =>
    of.map(({ string, rows: own }) => (
      <Depths
        key={`${string.id ?? ''}${own[0]?.key}`}
        plan={plan}
        string={string}
        rows={own}
        t={t}
        format={format}
      />
    ));
  const first = (
    <View key="first">
      {stops.length > 0 && (
        <View style={{ marginTop: 5 }}>
          <Cautions of={stops} size={10.2} plan={plan} t={t} format={format} />
        </View>
      )}
      {running && (
        <View style={{ marginTop: 4 }}>
          <View style={[s.row, { justifyContent: 'space-between', alignItems: 'baseline' }]}>
            <Heading>{t('sheet.key')}</Heading>
            <Text style={{ fontSize: 8.6 }}>
              {t(system === 'metric' ? 'sheet.running' : 'sheet.runningFeet', {
                along: noughtText(t, running.from.along),
                across: noughtText(t, running.from.across),
              })}
            </Text>
          </View>
          <KeyPlan {...shown} running={running} width={WIDTH} height={drawing} />
        </View>
      )}
      {table(onFirst)}
    </View>
  );
  const pages = [
    ...(running ? [first] : []),
    ...onOthers
      .filter((of) => of.length > 0)
      .map((of) => <View key={`t${of[0]!.rows[0]!.key}`}>{table(of)}</View>),
    ...chunks(cards, CARDS_ON_PAGE).map((own) => (
      <View key={`c${own[0]!.row.key}`}>
        {own.map(({ string, row }) => (
          <Card key={row.key} string={string} row={row} {...shown} />
        ))}
      </View>
    )),
    <View key="last">
      {rows.length > MOST_CARDS && (
        <Text style={{ marginTop: 5 }}>{t('sheet.noCard', { count: rows.length - MOST_CARDS })}</Text>
      )}
      <View style={[s.row, { marginTop: 7 }]}>
        <View style={{ width: '50%', paddingRight: 12 }}>
          <Lines title={t('sheet.layers')} lines={layerLines(plan, takeoff, t, format)} />
          <Blocks of={kinds.slice(0, 2)} />
        </View>
        <View style={{ width: '50%' }}>
          <Lines title={t('sheet.loads')} lines={loadLines(plan, takeoff, t, format)} />
          <Lines
            title={t('sheet.orders')}
            lines={[
              ...orderLines(takeoff, t, format),
              ...pencilLines(plan, t, format),
              ...nightLines(plan, takeoff, t, format),
            ]}
          />
          <Blocks of={kinds.slice(2)} />
        </View>
      </View>
      <View style={{ marginTop: 4 }}>
        <Heading>{t('sheet.cautions')}</Heading>
        <Cautions
          of={takeoff.cautions.filter(({ weight }) => weight !== 'stop')}
          size={9.2}
          plan={plan}
          t={t}
          format={format}
        />
      </View>
      <View style={[s.row, { marginTop: 8 }]} wrap={false}>
        {(['ring', 'holds'] as const).map((key) => (
          <View
            key={key}
            style={{ flex: 1, height: 42, marginRight: 6, padding: 3, border: '0.8 solid #162329' }}
          >
            <Text>{t(`sheet.${key}`)}</Text>
            {key === 'ring' && <Text style={{ fontSize: 13, fontWeight: 600 }}>{plan.emergencyContact}</Text>}
          </View>
        ))}
      </View>
    </View>,
  ];
  return (
    <SheetFrame
      {...input}
      title={t('sheet.title')}
      problems={takeoff.problems}
      format={format}
      foot={<Foot {...shown} />}
      pages={pages}
    />
  );
}

/** Renders a job's dig sheet. */
export const digSheet = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
