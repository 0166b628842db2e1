/** The base sheet: every lift with its levels and passes, what was laid, tested and released of it. */
import {
  compute,
  type LiftCard,
  labOf,
  layerValues,
  leanStakes,
  liftPace,
  type Plan,
  type Takeoff,
} from '@cimiento/core';
import { renderToBuffer, Text, View } from '@react-pdf/renderer';
import type { Say } from '../messages/keys.ts';
import { type Format, makeFormat } from '../parts/format.tsx';
import { compactorText } from '../parts/plant.ts';
import { layerName } from '../parts/words.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { dateText, s } from './style.server.ts';

type Live = Takeoff['elements'][number];

/** Rows a page takes, each of up to three lines. */
const A_PAGE = 18;

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

/** A line of the sheet: an element's heading, or one of its lifts. */
type Row = { readonly of: Live; readonly card: LiftCard | null };

/** What a lift's tests came to, the last first named. */
const testsText = (t: Say, format: Format, { tests, wanted }: LiftCard): string =>
  tests.length === 0
    ? wanted > 0
      ? t('proof.tests', { passed: 0, wanted })
      : '–'
    : tests
        .map(({ share, fault }) => (fault !== null || share === null ? '?' : format.text(share, 'percent')))
        .join(', ');

/** Water a lift wants, or must lose; nothing while either moisture is not known. */
const waterText = (t: Say, format: Format, { water }: LiftCard): string =>
  water === null
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

interface LiftRow {
  readonly plan: Plan;
  readonly of: Live;
  readonly card: LiftCard;
  readonly t: Say;
  readonly format: Format;
}

function Lift({ plan, of, card, t, format }: LiftRow) {
  const cells: Record<keyof typeof COLUMNS, string> = {
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
  return (
    <View style={{ ...s.row, borderBottom: '0.5 solid #9aa5a8' }} wrap={false}>
      {(Object.keys(COLUMNS) as (keyof typeof COLUMNS)[]).map((key) => (
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

function Heading({ of, t }: { of: Live; t: Say }) {
  return (
    <View wrap={false} style={{ marginTop: 8 }}>
      <Text style={s.h}>{`${of.element.name} · ${of.bed?.name ?? ''}`}</Text>
      <View style={{ ...s.row, borderBottom: '1 solid #162329' }}>
        {(Object.keys(COLUMNS) as (keyof typeof COLUMNS)[]).map((key) => (
          <Text key={key} style={{ ...s.cell, width: COLUMNS[key], fontSize: 8 }}>
            {t(`baseSheet.${key}`)}
          </Text>
        ))}
      </View>
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
  const takeoff = compute(plan, records);
  const rows = takeoff.elements.flatMap((of): Row[] =>
    of.cards.length === 0
      ? []
      : [{ of, card: null }, ...of.cards.toReversed().map((card): Row => ({ of, card }))],
  );
  const pages: React.ReactNode[] = [];
  for (let i = 0; i < Math.max(1, rows.length); i += A_PAGE) {
    const own = rows.slice(i, i + A_PAGE);
    // What runs on from the page before says again what it is of.
    const [first] = own;
    const shown = first?.card ? [{ of: first.of, card: null }, ...own] : own;
    pages.push(
      <View style={{ marginTop: 6 }}>
        {i === 0 &&
          laboratory(takeoff, t, format).map((line) => (
            <Text key={line} style={s.line}>
              {line}
            </Text>
          ))}
        {rows.length === 0 && <Text style={s.line}>{t('proof.noLifts')}</Text>}
        {shown.map(({ of, card }) =>
          card ? (
            <Lift
              key={`${of.id}:${card.layer.id}:${card.lift}`}
              plan={plan}
              of={of}
              card={card}
              t={t}
              format={format}
            />
          ) : (
            <Heading key={of.id} of={of} t={t} />
          ),
        )}
        {i + A_PAGE >= rows.length &&
          bottomLines(plan, takeoff, t, format).map((line) => (
            <Text key={line} style={s.line}>
              {line}
            </Text>
          ))}
        {i + A_PAGE >= rows.length && (
          <Text style={{ marginTop: 10, fontSize: 8.4 }}>
            {t('baseSheet.note', { date: dateText(savedAt, lang) })}
          </Text>
        )}
      </View>,
    );
  }
  return (
    <SheetFrame
      {...input}
      title={t('baseSheet.title')}
      problems={takeoff.problems}
      format={format}
      pages={pages}
    />
  );
}

export const basePdf = async (input: SheetInput): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await renderToBuffer(<Sheet {...input} />));
