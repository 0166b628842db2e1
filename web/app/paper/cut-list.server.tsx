/** What is cut of boards: every board of a pour's forms along its face, and out of which stock it comes. */
import { boxOf, compute, formsOf, unionBox } from '@cimiento/core';
import { Path, Svg, Text, View } from '@react-pdf/renderer';
import { viewOf } from '../drawing/view.ts';
import { cutText } from '../ui/cutWords.ts';
import { makeFormat } from '../ui/format.tsx';
import { pourName } from '../ui/pourName.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

const INK = '#162329';
const RULE = '0.5 solid #9aa5a8';
const WIDE = 540;
const HIGH = 220;
/** Lines a page takes. */
const LINES = 34;

function worked({ plan, records, pour }: SheetInput) {
  const takeoff = compute(plan, records);
  const id = takeoff.pours.find((one) => one.id === pour)?.id ?? takeoff.pours[0]?.id ?? '';
  return { takeoff, forms: formsOf(plan, takeoff, id) };
}
type Made = ReturnType<typeof worked>;
type FormSet = NonNullable<Made['forms']>['sets'][number];

/** Every board by its number, along the face it forms. */
function Faces({ sets }: { sets: readonly FormSet[] }) {
  const boards = sets.flatMap((set) => set.boards);
  if (boards.length === 0) return null;
  const view = viewOf(
    unionBox(boards.map(({ from, to }) => boxOf([...from, ...to]))),
    WIDE,
    HIGH,
    { k: 1, x: 0, y: 0 },
    24,
  );
  return (
    <Svg width={WIDE} height={HIGH}>
      {boards.map(({ id, from, to }) => {
        const [x0, y0, x1, y1] = [view.x(from[0]), view.y(from[1]), view.x(to[0]), view.y(to[1])];
        const long = Math.hypot(x1 - x0, y1 - y0) || 1;
        // Concrete lies on the left of a face: its number stands on the right, where the board is.
        const [nx, ny] = [-(y1 - y0) / long, (x1 - x0) / long];
        return [
          <Path key={`p${id}`} d={`M${x0} ${y0}L${x1} ${y1}`} stroke={INK} strokeWidth={1.4} />,
          <Text
            key={`t${id}`}
            x={(x0 + x1) / 2 + nx * 8}
            y={(y0 + y1) / 2 + ny * 8 + 3}
            textAnchor="middle"
            style={{ fontSize: 8, fontFamily: 'Figures', fill: INK }}
          >
            {id}
          </Text>,
        ];
      })}
    </Svg>
  );
}

function Sheet({ made: { takeoff, forms }, ...input }: SheetInput & { made: Made }) {
  const { plan, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const head = (text: string) => (
    <Text style={{ ...s.h, marginTop: 8, borderBottom: `1 solid ${INK}` }}>{text}</Text>
  );
  const line = (key: string, cells: readonly string[]) => (
    <View key={key} style={{ ...s.row, borderBottom: RULE }}>
      {cells.map((cell, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: printed once
        <Text key={i} style={{ ...s.cell, ...(i === 0 ? { width: 120 } : { flex: 1 }) }}>
          {cell}
        </Text>
      ))}
    </View>
  );
  const rows: React.ReactNode[] = (forms?.sets ?? []).flatMap((set) => [
    <View key={`h${set.height}`}>
      {head(
        `${t('forms.set', { height: format.text(set.height, 'size') })}: ${t('forms.bought', {
          length: format.text(set.cut.bought, 'length'),
          waste: format.text(set.cut.waste, 'percent', { decimals: 0 }),
        })}`,
      )}
    </View>,
    ...set.boards.map((board) =>
      line(`b${board.id}`, [
        `${board.id}`,
        `${t('forms.face')} ${format.text(board.face, 'taped')}`,
        `${t('forms.boardLong')} ${format.text(board.length, 'taped')}`,
      ]),
    ),
    ...set.risers.map((riser) =>
      line(`r${riser.id}`, [
        riser.id,
        t('forms.riser', {
          height: format.text(riser.height, 'size'),
          length: format.text(riser.length, 'length'),
        }),
      ]),
    ),
    ...cutText(format, set.cut).map(({ key, count, stock, cuts, left }) =>
      line(`c${set.height} ${key}`, [
        `${count} × ${stock}`,
        left === null ? cuts : `${cuts}, ${t('forms.over', { left })}`,
      ]),
    ),
    ...(set.cut.joints > 0
      ? [
          <Text key={`j${set.height}`} style={s.line}>
            {t('forms.joints', { count: set.cut.joints })}
          </Text>,
        ]
      : []),
    <Text key={`s${set.height}`} style={s.line}>
      {t('forms.holds', { stakes: set.stakes, kickers: set.kickers, straps: set.straps })}
    </Text>,
  ]);
  const pages: React.ReactNode[] = [];
  // The drawing takes the room of some of them on the first page.
  const first = LINES - 14;
  for (let from = 0; from < Math.max(1, rows.length); ) {
    const most = from === 0 ? first : LINES;
    pages.push(
      <View key={from} style={{ marginTop: 6 }}>
        {from === 0 && forms && (
          <>
            <Text style={s.title}>{pourName(t, forms.pour)}</Text>
            <Faces sets={forms.sets} />
            <Text style={s.line}>
              {`${t('forms.corner')}: ${t(`forms.corners.${plan.pour.forms.corner}`)} · ${t('forms.board')} ${format.text(plan.pour.forms.board, 'size')}`}
            </Text>
          </>
        )}
        {rows.length === 0 ? <Text>{t('forms.none')}</Text> : rows.slice(from, from + most)}
        {from + most >= rows.length && <Text style={s.line}>{t('forms.noDesign')}</Text>}
      </View>,
    );
    from += most;
  }
  return (
    <SheetFrame {...input} title={t('forms.cut')} problems={takeoff.problems} format={format} pages={pages} />
  );
}

export function cutPdf(input: SheetInput): Promise<Printed> {
  const made = worked(input);
  return print((how) => <Sheet {...input} {...how} made={made} />);
}
