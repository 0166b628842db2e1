/** What is ordered of concrete: pour by pour in the order they are cast, what, how much, when, where, with whom. */

import { compute, elementName, proved, steelOf, type Takeoff } from '@cimiento/core';
import { Text, View } from '@react-pdf/renderer';
import { makeFormat } from '../ui/format.tsx';
import { castName, pourName } from '../ui/pourName.ts';
import { ranges } from '../ui/ranges.ts';
import { fittingText, steelText } from '../ui/steelWords.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

/** Pours a page takes, lines of steel and of what is set in, and shares a pour's row takes. */
const A_PAGE = 8;
const LINES = 40;
const SHARES = 30;
/** So few pours leave room for so many lines of steel. */
const FEW = 4;
const BELOW = 8;

const HEAD = { fontSize: 12, fontWeight: 600, borderBottom: '1 solid #162329' } as const;

/** What, and what is said of it, a line each. */
const Rows = ({ of }: { of: readonly (readonly [what: string, says: string])[] }) =>
  of.map(([what, says], i) => (
    // biome-ignore lint/suspicious/noArrayIndexKey: printed once
    <View key={i} style={s.row}>
      <Text style={{ ...s.cell, width: 130 }}>{what}</Text>
      <Text style={{ ...s.cell, flex: 1 }}>{says}</Text>
    </View>
  ));

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const takeoff = proved(plan, compute(plan, records));
  const volume = (value: number) => format.text(value, 'volume', { decimals: 2 });
  const { waste, step, truck } = plan.pour;
  const pairs = (pour: Takeoff['pours'][number]): readonly (readonly [string, string])[] => {
    const said = plan.pour.orders.find(({ id }) => id === pour.id);
    const { wanted } = pour;
    return [
      [t('pour.neatRow'), volume(pour.neat)],
      // More than one thing: each one's own share, which add up to the row above.
      ...(pour.casts.length > 1 && pour.casts.length <= SHARES
        ? [
            [
              '',
              pour.casts
                .map((one) => `${castName(t, plan, one, pour.number === null)} ${volume(one.volume)}`)
                .join(' · '),
            ] as const,
          ]
        : []),
      ...(pour.low > 0 ? [[t('pour.lowRow'), volume(pour.low)] as const] : []),
      ...(pour.stays > 0 ? [[t('pour.staysBehind'), volume(pour.stays)] as const] : []),
      [t('pour.wasteRow'), format.text(waste, 'percent')],
      [
        t('pour.ordered'),
        [
          volume(pour.ordered),
          ...(pour.mixed
            ? [t('pours.onSite')]
            : [
                `${t('pour.loads', { count: pour.loads })}, ${t('pour.trucks', { truck: format.text(truck, 'volume') })}`,
                t('pour.last', { fill: format.text(pour.lastFill, 'percent', { decimals: 0 }) }),
              ]),
        ].join(' · '),
      ],
      ...(pour.band === null
        ? []
        : [
            [
              '',
              [
                t('pour.band', {
                  least: volume(Math.max(0, wanted - pour.band)),
                  most: volume(wanted + pour.band),
                }),
                ...(pour.unshot > 0
                  ? [t('pour.bandNone', { missing: pour.unshot, of: pour.elements.length })]
                  : []),
              ].join(' · '),
            ] as const,
          ]),
      ...(['mix', 'when', 'where', 'to'] as const).map(
        (field) => [t(`pour.${field}`), said?.[field] || t('pour.nobody')] as const,
      ),
    ];
  };
  const rows = takeoff.pours.map((pour, i) => (
    <View key={pour.id} style={{ marginBottom: 9 }} wrap={false}>
      <Text style={HEAD}>
        {`${i + 1}. ${pourName(t, pour)}: ${ranges(plan.elements.flatMap((e) => (pour.elements.includes(e.id) ? [e.name] : [])))}`}
      </Text>
      <Rows of={pairs(pour)} />
    </View>
  ));
  // What comes for the backfill, on its own day.
  const { broughtIn, need } = takeoff.spoil;
  const fill = [
    ...(broughtIn.tamped > 0
      ? [
          `${t('backfill.bringIn')}: ${t(`bedMaterial.${plan.backfill.bringIn.material}`)}, ${t('backfill.shortNote', { loose: volume(broughtIn.loose), count: broughtIn.loads })}`,
        ]
      : []),
    ...(need.foot > 0 ? [`${t('backfill.foot')}: ${volume(need.foot)}`] : []),
  ];
  const sums = (
    <View style={{ borderTop: '1 solid #162329' }}>
      <Text style={{ fontSize: 11, fontWeight: 600 }}>
        {`${t('pour.sum')}: ${volume(takeoff.concrete.neat)} · ${t('pours.order', { order: volume(takeoff.concrete.ordered) })}, ${t('pour.loads', { count: takeoff.concrete.loads })}`}
      </Text>
      <Text style={s.line}>{t('pour.each', { step: format.text(step, 'volume') })}</Text>
      {fill.map((line) => (
        <Text key={line} style={s.line}>
          {line}
        </Text>
      ))}
    </View>
  );
  const { steel, fittings } = steelOf(plan, takeoff);
  const nameOf = (id: string) => elementName(plan, id);
  const set = [
    ...plan.pour.steel.map((mark) => {
      const counted = steel.find(({ id }) => id === mark.id);
      return [
        `${mark.name}, ${nameOf(mark.element)}`,
        counted ? steelText(t, format, mark, counted) : t('steel.notYet'),
      ] as const;
    }),
    ...plan.pour.fittings.map(
      (one) =>
        [
          nameOf(one.element),
          fittingText(t, format, one, fittings.find(({ id }) => id === one.id) ?? null),
        ] as const,
    ),
  ];
  const setIn = (from: number, most: number) => (
    <View style={{ marginTop: 12 }}>
      <Text style={HEAD}>{t('steel.sheet')}</Text>
      <Rows of={set.slice(from, from + most)} />
      {from + most >= set.length && steel.length > 0 && (
        <Text style={s.line}>
          {`${t('steel.total')}: ${format.text(
            steel.reduce((sum, one) => sum + one.bought, 0),
            'weighing',
            { decimals: 0 },
          )}`}
        </Text>
      )}
    </View>
  );
  // Few pours and little steel stand on one page.
  const together = set.length > 0 && rows.length <= FEW && set.length <= BELOW;
  const pages: React.ReactNode[] = [];
  for (let i = 0; i < Math.max(1, rows.length); i += A_PAGE)
    pages.push(
      <View style={{ marginTop: 6 }}>
        {rows.length === 0 ? <Text>{t('pours.none')}</Text> : rows.slice(i, i + A_PAGE)}
        {i + A_PAGE >= rows.length && rows.length > 0 && sums}
        {together && setIn(0, BELOW)}
      </View>,
    );
  for (let i = 0; !together && i < set.length; i += LINES) pages.push(setIn(i, LINES));
  return (
    <SheetFrame
      {...input}
      title={t('pour.sheetTitle')}
      problems={takeoff.problems}
      format={format}
      pages={pages}
    />
  );
}

export const orderPdf = (input: SheetInput): Promise<Printed> =>
  print((how) => <Sheet {...input} {...how} />);
