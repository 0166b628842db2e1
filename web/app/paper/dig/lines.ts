/** What the dig sheet says in words: layers, loads, orders, the night, bays, drains, hand work, pours. */

import {
  elementName,
  type FigureId,
  fallOf,
  nightOf,
  type Plan,
  stoneFootingLifts,
  type Takeoff,
  trickles,
} from '@cimiento/core';
import type { Say } from '../../messages/keys.ts';
import { dayText } from '../../ui/days.ts';
import type { Format } from '../../ui/format.tsx';
import { compactorText, usualPlate } from '../../ui/plant.ts';
import { pourName } from '../../ui/pourName.ts';
import { ranges } from '../../ui/ranges.ts';
import { unsaidText } from '../../ui/unsaid.ts';
import { bayList, fallText, layerName } from '../../ui/words.ts';

type LayerTakeoff = Takeoff['beds'][number]['layers'][number];

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
      compactor: layer.compactor ? compactorText(t, format, layer.compactor) : '',
    });
  return layer.projection === null
    ? t('sheet.laidLine', words)
    : t('sheet.leanLine', { ...words, projection: size(layer.projection) });
}

/** Every bed somebody stands on, from formation up; who stands on none. */
function bedLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const named = (ids: readonly string[]) =>
    ranges(plan.elements.flatMap((e) => (ids.includes(e.id) ? [e.name] : [])));
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
        mass: usualPlate(format),
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

export const layerLines = (plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] => [
  t('sheet.trimLine', { trim: format.text(takeoff.handTrim.thickness, 'size') }),
  ...bedLines(plan, takeoff, t, format),
  t('sheet.footingLine'),
];

export function loadLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
  const { spoil, figures } = takeoff;
  // What a proof has stopped is not told.
  const volume = (of: FigureId, v: number) => (figures[of].known ? format.text(v, 'volume') : '–');
  const hauls = (figures.haul.known ? takeoff.loads : [])
    .filter((l) => l.loads > 0)
    .map((l, i) =>
      t(i === 0 ? 'sheet.haulLine' : 'sheet.orHaulLine', { loads: l.loads, truck: l.truck.name }),
    );
  const mixed = takeoff.mixed
    .map((m) => `${m.loads} × ${plan.spoil.trucks.find((truck) => truck.id === m.truck)?.name}`)
    .join(' + ');
  return [
    t('sheet.digLine', { dig: volume('dig', figures.dig.value), loose: volume('spoil', spoil.loose) }),
    t('sheet.keepLine', {
      keep: volume('keep', spoil.keptBank),
      topsoil: volume('keep', spoil.keptTopsoil),
    }),
    ...(hauls.length > 0 ? hauls : [t(figures.haul.known ? 'sheet.noHaul' : 'tally.stopped')]),
    ...(takeoff.mixed.length > 1 && figures.haul.known ? [t('sheet.mixedLine', { loads: mixed })] : []),
  ];
}

/** What water there is to hold, and down to where. */
function waterLine({ holes, inflow, water }: Takeoff, t: Say, format: Format): string {
  if (holes.length === 0) return t(water.from === null ? 'sheet.waterUnknown' : 'sheet.dry');
  if (trickles(inflow)) return t('sheet.waterTrickle');
  const [low, likely, high] = inflow.map((flow) => format.text(flow, 'flow'));
  const level = format.text(Math.min(...holes.map((pit) => pit.holdLevel)), 'level');
  return t('sheet.waterLine', { low: low!, likely: likely!, high: high!, level });
}

export function orderLines(takeoff: Takeoff, t: Say, format: Format): string[] {
  return [
    t('sheet.concreteLine', {
      order: format.text(takeoff.concrete.ordered, 'volume'),
      count: takeoff.concrete.loads,
    }),
    ...(takeoff.lean.ordered > 0
      ? [t('sheet.leanOrder', { order: format.text(takeoff.lean.ordered, 'volume') })]
      : []),
    ...(takeoff.stone.mass > 0 && takeoff.figures.stone.known
      ? [t('sheet.stoneOrder', { mass: format.text(takeoff.stone.mass, 'mass') })]
      : []),
    waterLine(takeoff, t, format),
  ];
}

/** What nobody has said, named. */
export const pencilLines = (plan: Plan, t: Say, format: Format): string[] =>
  plan.assumed.length === 0
    ? []
    : [
        t('sheet.pencil', {
          count: plan.assumed.length,
          what: plan.assumed.map((pointer) => unsaidText(t, format, plan, pointer)).join(' · '),
        }),
      ];

/** What the night that is expected does, how the water is held and where it goes. */
export function nightLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] {
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
  const time = dayText(format.lang, dryBy);
  if (wet.length === 0) return [...out, t('sheet.nightDry', { time })];
  return [
    ...out,
    ...wet.map((hole) =>
      t('sheet.nightWet', {
        time,
        names: ranges(hole.elements.map((id) => elementName(plan, id))),
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
            fall: fallText(t, format, fallOf(element)),
            stone: format.text(stone, 'volume'),
          }),
        ]
      : [],
  );

/** Pipes and cables in what is cast: what is done with each, how big, how high, by whose word. */
const crossingLines = (plan: Plan, takeoff: Takeoff, t: Say, format: Format): string[] =>
  plan.ground.hazards.flatMap(({ id, name, crossing }) => {
    const own = takeoff.crossings.filter(({ hazard }) => hazard === id);
    if (own.length === 0) return [];
    const leftOut = own.reduce((sum, one) => sum + one.leftOut, 0);
    return [
      [
        t('crossing.line', {
          name,
          how: t(crossing ? `crossing.hows.${crossing.how}` : 'crossing.open'),
        }),
        ...(crossing
          ? [
              `${t('crossing.size')} ${format.text(crossing.size, 'size')}`,
              ...(crossing.how === 'sleeve' || crossing.how === 'leaveOut'
                ? [`${t('crossing.opening')} ${format.text(crossing.opening, 'size')}`]
                : []),
              crossing.level === null
                ? t('crossing.unknown')
                : `${t('crossing.level')} ${format.text(crossing.level, 'level')}`,
            ]
          : []),
        ...own.map(({ owner, part, length, lies }) =>
          t('crossing.row', {
            part: t(`crossing.${part}`),
            name: plan.elements[owner]?.name ?? '',
            length: format.text(length, 'length'),
            lies: t(`crossing.${lies ?? 'unknown'}`),
          }),
        ),
        ...(leftOut > 0
          ? [t('crossing.leaves', { volume: format.text(leftOut, 'volume', { decimals: 3 }) })]
          : []),
        `${t('crossing.who')}: ${crossing && crossing.who !== '' ? [crossing.who, crossing.when].filter(Boolean).join(', ') : t('crossing.nobody')}`,
      ].join(' · '),
    ];
  });

/** What is dug, broken and cast otherwise than by the machine in one go. */
export function kindLines(plan: Plan, takeoff: Takeoff, t: Say, format: Format): [string, string[]][] {
  const volume = (v: number) => format.text(v, 'volume');
  const hours = (v: number) => format.text(v, 'hours');
  const names = (ids: readonly string[]) =>
    ranges(plan.elements.flatMap((e) => (ids.includes(e.id) ? [e.name] : [])));
  return [
    [t('sheet.bays'), bayLines(takeoff, t, format)],
    [t('sheet.drains'), drainLines(takeoff, t, format)],
    [t('crossing.sheet'), crossingLines(plan, takeoff, t, format)],
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
              name: pourName(t, pour),
              names: names(pour.elements),
              order: volume(pour.ordered),
              count: pour.loads,
            }),
          )
        : [],
    ],
  ];
}
