/**
 * For whoever comes to look: what is wanted of them and what it stands on, visits so far with their signatures, levels
 * as they were shot, and the changes others have ordered.
 */
import { compute, type Hold, type HoleThing, type HoleView, holeView, isOpen } from '@cimiento/core';
import { Path, Svg, Text, View } from '@react-pdf/renderer';
import { verdictText } from '../ui/answers.ts';
import { type Format, makeFormat } from '../ui/format.tsx';
import { holdName, needText, roleText } from '../ui/holdWords.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { dateText, s, timeText } from './style.server.ts';

/** Rows a page takes: of holds, which may carry a signature, and of shots and changes. */
const HOLDS_A_PAGE = 15;
const LINES_A_PAGE = 44;

type Row = { readonly key: string; readonly row: React.ReactNode };

const rule = { borderBottom: '0.5 solid #9aa5a8' } as const;

function Signature({ path }: { path: string }) {
  return (
    <Svg viewBox="0 0 300 100" style={{ width: 84, height: 28 }}>
      <Path d={path} stroke="#162329" strokeWidth={3} fill="none" />
    </Svg>
  );
}

function holdRow(input: SheetInput, view: HoleView, hold: Hold): Row {
  const { t, lang, zone } = input;
  const { visit } = hold;
  const when = (at: string) => `${dateText(new Date(at), lang, zone)} ${timeText(new Date(at), zone)}`;
  const last = visit
    ? `${t(`hold.verdict.${visit.value.verdict}`)}: ${visit.value.who}, ${roleText(t, visit.value.role)}, ${when(visit.at)}${visit.value.what ? `. ${visit.value.what}` : ''}`
    : '';
  return {
    key: `${hold.hold}/${hold.element}`,
    row: (
      <View key={`${hold.hold}/${hold.element}`} style={{ ...s.row, ...rule, minHeight: 30 }} wrap={false}>
        <Text style={{ ...s.cell, width: 96, fontWeight: 600 }}>{holdName(t, view, hold)}</Text>
        <Text style={{ ...s.cell, width: 74 }}>{t(`hold.before.${hold.before}`)}</Text>
        <Text style={{ ...s.cell, width: 74 }}>{roleText(t, hold.role)}</Text>
        <Text style={{ ...s.cell, width: 84 }}>{t(`hold.state.${hold.state}`)}</Text>
        <Text style={{ ...s.cell, flex: 1 }}>
          {[hold.needs.map((need) => needText(t, need)).join(', '), last].filter(Boolean).join('\n')}
        </Text>
        {visit?.value.finger ? <Signature path={visit.value.finger} /> : <View style={{ width: 84 }} />}
      </View>
    ),
  };
}

function shotRows({ t }: SheetInput, format: Format, { name, shots }: HoleThing): Row[] {
  return shots.map((shot, i): Row => {
    const cells = [
      [`${name}/${i + 1}`, 60, 'name'],
      [format.text(shot.wanted, 'level'), 80, 'wanted'],
      [shot.level === null ? '–' : format.text(shot.level, 'level'), 80, 'level'],
      [
        shot.verdict
          ? verdictText(t, format, shot.verdict)
          : t('shot.low', { by: format.text(shot.below, 'size') }),
        130,
        'verdict',
      ],
      [[shot.by, shot.doubted ? t('shot.inDoubt') : ''].filter(Boolean).join(' · '), 150, 'by'],
    ] as const;
    return {
      key: shot.id,
      row: (
        <View key={shot.id} style={{ ...s.row, ...rule }} wrap={false}>
          {cells.map(([text, width, column]) => (
            <Text key={column} style={{ ...s.cell, width }}>
              {text}
            </Text>
          ))}
        </View>
      ),
    };
  });
}

function changeRow(
  { t, lang, zone }: SheetInput,
  format: Format,
  view: HoleView,
  one: HoleView['register'][number],
): Row {
  const { record, state, amounts } = one;
  const { what, from, to, who, role, why } = record.value;
  const kind = what === 'level' ? 'level' : 'size';
  const of = view.things.find(({ id }) => id === record.element)?.name;
  const comes = amounts.map(({ of: id, kind: unit, change }) =>
    t(`cost.${id}`, { amount: `${change > 0 ? '+' : '−'}${format.text(Math.abs(change), unit)}` }),
  );
  const parts = {
    what: t(`change.what.${what}`),
    from: from === null ? '' : format.text(from, kind),
    to: format.text(to, kind),
  };
  const said = `${of ? `${of}: ` : ''}${t(from === null ? 'record.changeTo' : 'record.changeFromTo', parts)}`;
  return {
    key: record.id,
    row: (
      <View key={record.id} style={{ ...s.row, ...rule }} wrap={false}>
        <Text style={{ ...s.cell, width: 84 }}>{dateText(new Date(record.at), lang, zone)}</Text>
        <Text style={{ ...s.cell, width: 200 }}>{said}</Text>
        <Text style={{ ...s.cell, flex: 1 }}>
          {[
            `${who}, ${roleText(t, role)}`,
            why,
            comes.join(' · '),
            t(state === 'open' ? 'change.open' : `change.how.${state}`),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </View>
    ),
  };
}

/** Rows under a heading, cut into pages. */
function pagesOf(title: string, rows: readonly Row[], most: number): React.ReactNode[] {
  const out: React.ReactNode[] = [];
  for (let i = 0; i < rows.length; i += most)
    out.push(
      <View key={`${title}${i}`} style={{ marginTop: 6 }}>
        <Text style={s.h}>{title}</Text>
        {rows.slice(i, i + most).map(({ row }) => row)}
      </View>,
    );
  return out;
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const takeoff = compute(plan, records);
  const view = holeView(plan, takeoff);
  const open = view.holds.filter(isOpen);
  const done = view.holds.filter((hold) => !isOpen(hold));
  const pages = [
    ...pagesOf(
      t('hold.wanted'),
      open.map((hold) => holdRow(input, view, hold)),
      HOLDS_A_PAGE,
    ),
    ...pagesOf(
      t('hold.seen'),
      done.map((hold) => holdRow(input, view, hold)),
      HOLDS_A_PAGE,
    ),
    ...pagesOf(
      t('shot.title'),
      view.things.flatMap((thing) => shotRows(input, format, thing)),
      LINES_A_PAGE,
    ),
    ...pagesOf(
      t('change.register'),
      view.register.map((one) => changeRow(input, format, view, one)),
      LINES_A_PAGE,
    ),
  ];
  const none = <Text style={s.line}>{t('inHole.nothingStops')}</Text>;
  return (
    <SheetFrame
      {...input}
      title={t('hold.sheet')}
      problems={takeoff.problems}
      format={format}
      pages={pages.length > 0 ? pages : [none]}
    />
  );
}

export const inspectionPdf = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
