/** The dig sheet as PDF: one A4 or Letter page a job, readable when wet and dirty. */
import {
  compute,
  type ElementTakeoff,
  fallOf,
  longSection,
  nightOf,
  type Plan,
  stoneFootingLifts,
  stringsOf,
  type Takeoff,
} from '@cimiento/core';
import { renderToBuffer, Text, View } from '@react-pdf/renderer';
import { coded, type Say } from '../messages/keys.ts';
import { type Format, makeFormat } from '../parts/format.tsx';
import { unsaidText } from '../parts/unsaid.ts';
import { bayList, cautionKey, cautionText, compactorText, concerns, layerName } from '../parts/words.ts';
import { KeyPlan, SectionDrawing } from './drawings.tsx';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { s } from './style.server.ts';

type LayerTakeoff = Takeoff['beds'][number]['layers'][number];

/** More cautions than this are set a little closer, so that the page stays one. */
const MANY_CAUTIONS = 11;

/** Elements dug alike share a row of the table; every tread of a stepped strip has its own. */
interface Row {
  readonly key: string;
  readonly names: string[];
  readonly info: ElementTakeoff;
  /** Levels of the bottom, the footing's underside and its top. */
  readonly dug: number;
  readonly underside: number;
  readonly top: number;
  groundLow: number;
  groundHigh: number;
}

function rowsOf(plan: Plan, takeoff: Takeoff, format: Format): Row[] {
  const rows = new Map<string, Row>();
  const mm = (v: number) => Math.round(v * 1000);
  takeoff.elements.forEach((info, index) => {
    if (!info.live) return;
    const { name, thickness } = plan.elements[index]!;
    if (info.steps) {
      const section = longSection(plan, takeoff, index);
      section?.stretches.forEach((stretch) => {
        const from = format.parts(stretch.s0, 'length').number;
        const posts = section.posts.filter((p) => p.s >= stretch.s0 - 1e-9 && p.s <= stretch.s1 + 1e-9);
        rows.set(`${info.id}:${stretch.s0}`, {
          key: `${info.id}:${stretch.s0}`,
          names: [`${name} ${from}–${format.text(stretch.s1, 'length')}`],
          info,
          dug: stretch.dug,
          underside: stretch.underside,
          top: stretch.underside + thickness,
          groundLow: Math.min(...posts.map((p) => p.ground)),
          groundHigh: Math.max(...posts.map((p) => p.ground)),
        });
      });
      return;
    }
    const key =
      [info.string.level, info.dug, info.underside, info.top, info.width.dug, info.slope].map(mm).join() +
      info.support;
    const row = rows.get(key);
    if (row) {
      row.names.push(name);
      row.groundLow = Math.min(row.groundLow, info.groundLow);
      row.groundHigh = Math.max(row.groundHigh, info.groundHigh);
    } else
      rows.set(key, {
        key,
        names: [name],
        info,
        dug: info.dug,
        underside: info.underside,
        top: info.top,
        groundLow: info.groundLow,
        groundHigh: info.groundHigh,
      });
  });
  return [...rows.values()];
}

/** Bottom width of a trench; both sizes of a pad. */
const bottomText = (info: ElementTakeoff, format: Format) =>
  info.bottomLength === null
    ? format.text(info.width.dug, 'size')
    : `${format.parts(info.width.dug, 'size').number} × ${format.text(info.bottomLength, 'size')}`;

const WIDTHS = {
  name: 80,
  ground: 82,
  formation: 62,
  underside: 62,
  footing: 62,
  bottom: 84,
  sides: 36,
  decides: 64,
} as const;

interface Shown {
  readonly plan: Plan;
  readonly takeoff: Takeoff;
  readonly t: Say;
  readonly format: Format;
}

/** Depths from every string something hangs on, a table each. */
function Tables(shown: Shown) {
  const { plan, takeoff, format } = shown;
  const rows = rowsOf(plan, takeoff, format);
  return stringsOf(plan)
    .map((string) => ({ string, rows: rows.filter((row) => row.info.string.id === string.id) }))
    .filter(({ string, rows: own }) => own.length > 0 || string.id === null)
    .map(({ string, rows: own }) => (
      <Table key={string.id ?? ''} string={string} rows={own} t={shown.t} format={format} />
    ));
}

function Table({
  string,
  rows,
  t,
  format,
}: {
  string: ReturnType<typeof stringsOf>[number];
  rows: readonly Row[];
  t: Say;
  format: Format;
}) {
  const down = (level: number) =>
    format.text(string.level - level, 'length', format.system === 'metric' ? { decimals: 3 } : {});
  const bare = (text: string) => text.replace(/\u00a0m$/, '');
  const level = format.text(string.level, 'level');
  return (
    <View style={{ marginTop: 6 }}>
      <Text style={s.h}>
        {string.name === null
          ? t('sheet.table', { level })
          : t('sheet.tableOf', { level, name: string.name })}
      </Text>
      <View style={[s.row, { borderBottom: '1 solid #162329' }]}>
        {(Object.keys(WIDTHS) as (keyof typeof WIDTHS)[]).map((key) => (
          <Text
            key={key}
            style={[
              s.cell,
              { width: WIDTHS[key], textAlign: key === 'name' || key === 'decides' ? 'left' : 'right' },
            ]}
          >
            {t(`sheet.${key}`)}
          </Text>
        ))}
      </View>
      {rows.map(({ key, names, info, dug, underside, top, groundLow, groundHigh }) => (
        <View key={key} style={[s.row, { borderBottom: '0.5 solid #9fb0b2' }]} wrap={false}>
          <Text style={[s.cell, { width: WIDTHS.name, fontWeight: 600 }]}>{names.join(', ')}</Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.ground, fontSize: 9 }]}>
            {groundHigh - groundLow < 0.0005
              ? down(groundHigh)
              : `${bare(down(groundHigh))} – ${down(groundLow)}`}
          </Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.formation, color: '#a9541f', fontSize: 12 }]}>
            {down(dug)}
          </Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.underside }]}>
            {info.layers.length > 0 ? down(underside) : '–'}
          </Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.footing }]}>{down(top)}</Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.bottom }]}>{bottomText(info, format)}</Text>
          <Text style={[s.cell, s.number, { width: WIDTHS.sides }]}>{sidesText(info, t, format)}</Text>
          <Text style={[s.cell, { width: WIDTHS.decides, fontSize: 8 }]}>
            {info.decision?.governs ? t(`rule.${info.decision.governs}`) : ''}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** How the sides stand: as they are held, never a slope they do not have. */
function sidesText(info: ElementTakeoff, t: Say, format: Format): string {
  if (info.bays) return t('sheet.side.bays');
  if (info.support !== 'slope') return t(`sheet.side.${info.support}`);
  return info.slope > 0 ? format.text(info.slope, 'slope') : t('sheet.side.vertical');
}

function Lines({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <View style={{ marginBottom: 5 }}>
      <Text style={s.h}>{title}</Text>
      {lines.map((text) => (
        <Text key={text} style={s.line}>
          {text}
        </Text>
      ))}
    </View>
  );
}

/** Lines some blocks take, with their headings. */
const height = (of: readonly (readonly [string, readonly string[]])[]) =>
  of.reduce((sum, [, lines]) => sum + (lines.length > 0 ? lines.length + 1 : 0), 0);

/** Blocks that have something to say. */
const Blocks = ({ of }: { of: readonly (readonly [string, readonly string[]])[] }) =>
  of.flatMap(([title, lines]) =>
    lines.length > 0 ? [<Lines key={title} title={title} lines={lines} />] : [],
  );

/** One layer of a bed: where its top comes over the formation, how it is laid. */
function layerLine(laid: LayerTakeoff, top: number, t: Say, format: Format): string {
  const size = (v: number) => format.text(v, 'size');
  const { layer, lifts } = laid;
  const words = { name: layerName(t, layer), thickness: size(layer.thickness), top: size(top) };
  if (lifts)
    return t('sheet.stoneLine', {
      ...words,
      count: lifts.count,
      lift: size(lifts.thickness),
      loose: size(lifts.loose),
      passes: lifts.passes.join(' – '),
      compactor: layer.compactor ? compactorText(t, layer.compactor) : '',
    });
  return layer.projection === null
    ? t('sheet.laidLine', words)
    : t('sheet.leanLine', { ...words, projection: size(layer.projection) });
}

/** Every bed somebody stands on, from formation up; who stands on none. */
function bedLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const named = (ids: readonly string[]) =>
    plan.elements.flatMap((e) => (ids.includes(e.id) ? [e.name] : [])).join(', ');
  const own = takeoff.elements.flatMap(({ element, live }) => {
    if (!live || element.kind !== 'strip' || element.use !== 'stone') return [];
    const lifts = stoneFootingLifts(element.thickness);
    const size = (v: number) => format.text(v, 'size');
    return [
      t('sheet.stoneFooting', {
        name: element.name,
        count: lifts.count,
        lift: size(lifts.thickness),
        loose: size(lifts.loose),
        passes: lifts.passes.join('–'),
      }),
    ];
  });
  const bare = takeoff.elements.filter((e) => e.live && e.bed === null && e.decision !== null);
  return [
    ...own,
    ...takeoff.beds.flatMap(({ bed, elements, layers, cloth }) => {
      if (elements.length === 0) return [];
      let top = 0;
      return [
        t(bed.onOldBase ? 'sheet.bedOldBase' : 'sheet.bedLine', { bed: bed.name, names: named(elements) }),
        ...(cloth > 0 ? [t('sheet.clothLine', { area: format.text(cloth, 'area') })] : []),
        ...layers.map((laid) => {
          top += laid.layer.thickness;
          return `· ${layerLine(laid, top, t, format)}`;
        }),
      ];
    }),
    ...(bare.length > 0 ? [t('sheet.noBed', { names: named(bare.map((e) => e.id)) })] : []),
  ];
}

const layerLines = (plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] => [
  t('sheet.trimLine', { trim: format.text(takeoff.handTrim.thickness, 'size') }),
  ...bedLines(plan, takeoff, t, format),
  t('sheet.footingLine'),
];

function loadLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const volume = (v: number) => format.text(v, 'volume');
  const { spoil } = takeoff;
  const hauls = takeoff.loads
    .filter((l) => l.loads > 0)
    .map((l, i) =>
      t(i === 0 ? 'sheet.haulLine' : 'sheet.orHaulLine', { loads: l.loads, truck: l.truck.name }),
    );
  const mixed = takeoff.mixed
    .map((m) => `${m.loads} × ${plan.spoil.trucks.find((truck) => truck.id === m.truck)?.name}`)
    .join(' + ');
  return [
    t('sheet.digLine', { dig: volume(takeoff.figures.dig.value), loose: volume(spoil.loose) }),
    t('sheet.keepLine', { keep: volume(spoil.keptBank), topsoil: volume(spoil.keptTopsoil) }),
    ...(hauls.length > 0 ? hauls : [t('sheet.noHaul')]),
    ...(takeoff.mixed.length > 1 ? [t('sheet.mixedLine', { loads: mixed })] : []),
  ];
}

function orderLines(takeoff: Takeoff, t: Say, format: Format): string[] {
  const flow = (v: number) => format.text(v, 'flow');
  return [
    t('sheet.concreteLine', {
      order: format.text(takeoff.concrete.ordered, 'volume'),
      count: takeoff.concrete.loads,
    }),
    ...(takeoff.lean.ordered > 0
      ? [t('sheet.leanOrder', { order: format.text(takeoff.lean.ordered, 'volume') })]
      : []),
    ...(takeoff.stone.mass > 0
      ? [t('sheet.stoneOrder', { mass: format.text(takeoff.stone.mass, 'mass') })]
      : []),
    takeoff.holes.length > 0
      ? t('sheet.waterLine', {
          low: flow(takeoff.inflow[0]),
          likely: flow(takeoff.inflow[1]),
          high: flow(takeoff.inflow[2]),
          level: format.text(Math.min(...takeoff.holes.map((pit) => pit.holdLevel)), 'level'),
        })
      : t(takeoff.water.from === null ? 'sheet.waterUnknown' : 'sheet.dry'),
  ];
}

/** What nobody has said, named. */
const pencilLines = (plan: Plan, t: Say, format: Format): string[] =>
  plan.assumed.length === 0
    ? []
    : [
        t('sheet.pencil', {
          count: plan.assumed.length,
          what: plan.assumed.map((pointer) => unsaidText(t, format, plan, pointer)).join(' · '),
        }),
      ];

/** What the night that is expected does, how the water is held and where it goes. */
function nightLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const { holding, discharge, storm, dryBy } = plan.water;
  const out: string[] = [];
  if (holding)
    out.push(t('sheet.holding', { by: t(`night.holdings.${holding.by}`), reason: holding.reason }));
  if (discharge)
    out.push(
      discharge.allowedBy === ''
        ? t('sheet.dischargeOpen', { to: t(`night.discharges.${discharge.to}`) })
        : t('sheet.discharge', { to: t(`night.discharges.${discharge.to}`), who: discharge.allowedBy }),
    );
  const answer = storm && dryBy !== null ? nightOf(plan, takeoff) : null;
  if (!answer?.ok || dryBy === null) return out;
  const wet = answer.night.holes.filter((hole) => hole.dryBy?.dry === false);
  const time = dryBy.replace('T', ' ');
  if (wet.length === 0) return [...out, t('sheet.nightDry', { time })];
  return [
    ...out,
    ...wet.map((hole) =>
      t('sheet.nightWet', {
        time,
        names: hole.elements.map((id) => plan.elements.find((e) => e.id === id)?.name ?? id).join(', '),
        depth: format.text(hole.dryBy!.margin, 'size'),
      }),
    ),
  ];
}

/** Bays by pass: what is dug under the wall and in the pits, cast, packed. */
function bayLines(takeoff: Takeoff, t: Say, format: Format): string[] {
  const volume = (v: number) => format.text(v, 'volume', { decimals: 2 });
  return takeoff.elements.flatMap(({ element, bays }) =>
    bays
      ? bays.passes.map((pass, i) =>
          t('sheet.bayLine', {
            name: element.name,
            n: i + 1,
            bays: bayList(pass),
            length: format.text(bays.length, 'length'),
            soil: volume((bays.each.soil + bays.each.access) * pass.length),
            concrete: volume(bays.each.concrete * pass.length),
            pack: volume(bays.each.pack * pass.length),
          }),
        )
      : [],
  );
}

/** Drains: where they let go, how they fall. */
const drainLines = (takeoff: Takeoff, t: Say, format: Format): string[] =>
  takeoff.elements.flatMap(({ element, live, stone }) =>
    live && element.kind === 'strip' && element.outfall
      ? [
          t('sheet.drainLine', {
            name: element.name,
            where: t(`drain.outlets.${element.outfall.where}`),
            level: format.text(element.outfall.level, 'level'),
            fall: format.text(Math.abs(fallOf(element)), 'gradient'),
            stone: format.text(stone, 'volume'),
          }),
        ]
      : [],
  );

/** What is dug, broken and cast otherwise than by the machine in one go. */
function kindLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): [string, string[]][] {
  const volume = (v: number) => format.text(v, 'volume');
  const hours = (v: number) => format.text(v, 'hours');
  const names = (ids: readonly string[]) =>
    plan.elements.flatMap((e) => (ids.includes(e.id) ? [e.name] : [])).join(', ');
  return [
    [t('sheet.bays'), bayLines(takeoff, t, format)],
    [t('sheet.drains'), drainLines(takeoff, t, format)],
    [
      t('sheet.hand'),
      takeoff.work.hand.elements.map((one) =>
        t('sheet.handLine', { name: names([one.id]), loose: volume(one.loose), hours: hours(one.hours) }),
      ),
    ],
    [
      t('sheet.broken'),
      takeoff.broken.items.map((one) =>
        t('sheet.brokenLine', {
          name: one.obstruction.name,
          volume: volume(one.volume),
          loose: volume(one.loose),
          mass: format.text(one.mass, 'mass'),
          hours: hours(one.hours),
        }),
      ),
    ],
    [
      t('sheet.pours'),
      takeoff.pours.length > 1
        ? takeoff.pours.map((pour) =>
            t('sheet.pourLine', {
              name: pour.name ?? t(`pours.kind.${pour.kind ?? 'footings'}`),
              names: names(pour.elements),
              order: volume(pour.ordered),
              count: pour.loads,
            }),
          )
        : [],
    ],
  ];
}

function Cautions({ plan, takeoff, t, format }: { plan: Plan; takeoff: Takeoff; t: Say; format: Format }) {
  return (
    <View style={{ marginTop: 4 }}>
      <Text style={s.h}>{t('sheet.cautions')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {takeoff.cautions.map((caution) => {
          const { title, text } = cautionText(t, format, caution);
          const who = concerns(plan, caution);
          const stop = caution.weight === 'stop';
          return (
            <View
              key={cautionKey(caution)}
              wrap={false}
              style={{
                width: '49%',
                marginRight: '1%',
                marginBottom: 2.5,
                paddingLeft: 4,
                paddingVertical: 1,
                borderLeft: `${stop ? 3 : 1} solid ${stop ? '#a02733' : '#55656b'}`,
              }}
            >
              <Text style={{ fontSize: takeoff.cautions.length > MANY_CAUTIONS ? 8.2 : 8.8 }}>
                <Text style={{ fontWeight: 600 }}>
                  {stop ? `${t('caution.stop')} · ` : ''}
                  {title}
                  {who ? ` (${who})` : ''}
                </Text>{' '}
                {text}
              </Text>
            </View>
          );
        })}
      </View>
    </View>
  );
}

function Sheet(input: SheetInput) {
  const { plan, records, lang, system, t } = input;
  const takeoff = compute(plan, records);
  const format = makeFormat(lang, system);
  const first = takeoff.elements.findIndex((e) => e.live);
  // What must be said and dug leaves the drawings the rest: the page is one.
  const crowd =
    Math.max(0, takeoff.cautions.length - 8) + 0.7 * Math.max(0, rowsOf(plan, takeoff, format).length - 6);
  const kinds = kindLines(plan, takeoff, t, format);
  const layers = layerLines(plan, takeoff, t, format);
  const loads = loadLines(plan, takeoff, t, format);
  const orders = [
    ...orderLines(takeoff, t, format),
    ...pencilLines(plan, t, format),
    ...nightLines(plan, takeoff, t, format),
  ];
  // The longer of the two columns of lines, its headings counted as lines.
  const tall = Math.max(
    1 + layers.length + height(kinds.slice(0, 2)),
    2 + loads.length + orders.length + height(kinds.slice(2)),
  );
  const drawing = { width: 264, height: Math.max(110, 212 - 13 * (crowd + Math.max(0, tall - 10))) };
  return (
    <SheetFrame
      {...input}
      title={t('sheet.title')}
      problems={takeoff.problems}
      format={format}
      pages={[
        <View key="all">
          <View style={[s.row, { justifyContent: 'space-between', marginTop: 5 }]}>
            <View>
              <Text style={s.h}>{t('sheet.key')}</Text>
              <KeyPlan plan={plan} takeoff={takeoff} {...drawing} />
            </View>
            {first >= 0 && (
              <View>
                <Text style={s.h}>{t('sheet.section', { name: plan.elements[first]!.name })}</Text>
                <SectionDrawing
                  plan={plan}
                  takeoff={takeoff}
                  index={first}
                  format={format}
                  name={(flag) => t(coded(`staff.${flag}`))}
                  {...drawing}
                />
              </View>
            )}
          </View>
          <Tables plan={plan} takeoff={takeoff} t={t} format={format} />
          <View style={[s.row, { marginTop: 7 }]}>
            <View style={{ width: '50%', paddingRight: 10 }}>
              <Lines title={t('sheet.layers')} lines={layers} />
              <Blocks of={kinds.slice(0, 2)} />
            </View>
            <View style={{ width: '50%' }}>
              <Lines title={t('sheet.loads')} lines={loads} />
              <Lines title={t('sheet.orders')} lines={orders} />
              <Blocks of={kinds.slice(2)} />
            </View>
          </View>
          <Cautions plan={plan} takeoff={takeoff} t={t} format={format} />
          <View style={[s.row, { marginTop: 6 }]} wrap={false}>
            {(['ring', 'holds'] as const).map((key) => (
              <View
                key={key}
                style={{ flex: 1, height: 34, marginRight: 6, padding: 3, border: '0.8 solid #162329' }}
              >
                <Text>{t(`sheet.${key}`)}</Text>
              </View>
            ))}
          </View>
        </View>,
      ]}
    />
  );
}

/** Renders a job's dig sheet. */
export const digSheet = async (input: SheetInput): Promise<Uint8Array<ArrayBuffer>> =>
  new Uint8Array(await renderToBuffer(<Sheet {...input} />));
