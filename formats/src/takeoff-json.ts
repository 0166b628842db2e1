/** The takeoff as plain JSON: SI, codes instead of words, no geometry. */
import {
  type ElementTakeoff,
  FIGURE_IDS,
  type FigureId,
  fillStages,
  type Kind,
  type Plan,
  proofsOf,
  stageRows,
  steelOf,
  stoppedBy,
  type Takeoff,
  withStopped,
} from '@cimiento/core';

export const TAKEOFF_FORMAT = 'cimiento-takeoff';

/** The SI unit each kind of figure is written in. */
const SI_UNITS: Partial<Record<Kind, string>> = { volume: 'm3', mass: 'kg', flow: 'm3/s', count: '' };
export const unitOf = (kind: Kind): string => SI_UNITS[kind] ?? kind;

const triple = ([low, likely, high]: readonly [number, number, number]) => ({ low, likely, high });

const elementJson = (e: ElementTakeoff) => ({
  id: e.id,
  governs: e.decision?.governs ?? null,
  margin: e.decision?.margin ?? null,
  candidates: e.decision?.candidates ?? [],
  underside: e.underside,
  steps:
    e.steps?.stretches.map(({ run, s0, s1, underside }) => ({ run, from: s0, to: s1, underside })) ?? null,
  closure: e.decision?.closure ?? null,
  water: e.water,
  top: e.top,
  formation: e.formation,
  dug: e.dug,
  depth: e.depth,
  string: e.string.id,
  fromString: e.fromString,
  bottomWidth: e.width.dug,
  bottomLength: e.bottomLength,
  neededWidth: e.width.needed,
  bucket: e.width.bucket,
  passes: e.width.passes,
  sides: e.slope,
  slopeClass: e.rule.slopeClass,
  volume: e.volume,
  stone: e.stone,
  slab: e.slab,
  bays: e.bays && { count: e.bays.count, length: e.bays.length, passes: e.bays.passes, each: e.bays.each },
  bed: e.bed?.id ?? null,
  layers: e.layers.map(({ layer, volume, bottom, top }) => ({ id: layer.id, volume, bottom, top })),
  concrete: e.concrete,
  leftOut: e.leftOut,
  /** The wall or column on it: levels, m³ of all of it (null: nobody has said how high) and below ground. */
  rising: e.rising,
  /** What is cast of it, stage by stage, from the bottom up. */
  casts: e.casts,
});

const bedJson = ({ bed, elements, layers, cloth }: Takeoff['beds'][number]) => ({
  id: bed.id,
  name: bed.name,
  elements,
  layers: layers.map(({ layer, volume, area, mass, loose, lifts }) => ({
    id: layer.id,
    name: layer.name,
    material: layer.material,
    purpose: layer.purpose,
    thickness: layer.thickness,
    volume,
    area,
    mass,
    loose,
    lifts,
  })),
  cloth,
});

/** What goes back, what comes for it, and what is stripped beside the holes. */
const fillJson = (plan: Plan, takeoff: Takeoff) => ({
  backfill: {
    void: takeoff.spoil.backfill,
    shortfall: takeoff.spoil.shortfall,
    need: takeoff.spoil.need,
    topsoilBack: takeoff.spoil.topsoilBack,
    /** Every stage by side, m³: needed tamped, what own soil gives of it tamped, bank and loose, what is brought in. */
    stages: stageRows(plan, takeoff, fillStages(plan, takeoff).parts),
    broughtIn: { material: plan.backfill.bringIn.material, ...takeoff.spoil.broughtIn },
    fits: takeoff.spoil.fits.map(({ soil, use, why, found, over, days }) => ({
      soil: soil.layer.id,
      use,
      why,
      found,
      over,
      days,
    })),
  },
  strips: takeoff.strips.items.map(({ stripped, area, bank }) => ({
    id: stripped.id,
    kind: stripped.kind,
    area,
    bank,
  })),
});

/**
 * @param plan the plan that was computed
 * @returns an object that survives JSON without loss; every number is finite
 */
export function takeoffJson(plan: Plan, worked: Takeoff) {
  const checks = proofsOf(plan, worked);
  // What a proof contradicts is not written.
  const takeoff = withStopped(worked, stoppedBy(checks));
  const steel = steelOf(plan, takeoff);
  const figure = (id: FigureId) => {
    const { value, known, kind, origin, parts, workings } = takeoff.figures[id];
    return {
      value: known ? value : null,
      unit: unitOf(kind),
      origin,
      parts: parts.map((part) => ({ ...part, unit: unitOf(part.kind) })),
      workings,
    };
  };
  return {
    format: TAKEOFF_FORMAT,
    version: 2,
    units: 'SI',
    job: { name: plan.name, place: plan.place },
    figures: Object.fromEntries(FIGURE_IDS.map((id) => [id, figure(id)])) as Record<
      FigureId,
      ReturnType<typeof figure>
    >,
    frost: takeoff.frost,
    frozen: takeoff.frozen,
    clashes: takeoff.clashes,
    shallow: takeoff.shallow,
    overdig: takeoff.overdig,
    strata: takeoff.spoil.strata.map((s) => ({
      id: s.soil.layer.id,
      bank: s.bank,
      loose: s.loose,
      keptBank: s.keptBank,
      hauledBank: s.hauledBank,
      hauledLoose: s.hauledLoose,
      hauledMass: s.hauledMass,
    })),
    loads: takeoff.loads.map((l) => ({
      truck: l.truck.id,
      loads: l.loads,
      limit: l.limit,
      lastFill: l.lastFill,
    })),
    mixedLoads: takeoff.mixed,
    ...fillJson(plan, takeoff),
    beds: takeoff.beds.map(bedJson),
    floors: takeoff.floors.map(({ floor, elements, area, edge, layers }) => ({
      id: floor.id,
      elements,
      area,
      edge,
      layers: layers.map(({ layer, ...laid }) => ({ id: layer.id, name: layer.name, ...laid })),
    })),
    broken: takeoff.broken.items.map(({ obstruction, volume, loose, mass, hours }) => ({
      id: obstruction.id,
      volume,
      loose,
      mass,
      hours,
    })),
    hand: takeoff.work.hand.elements,
    pours: takeoff.pours,
    stone: takeoff.stone,
    lean: takeoff.lean,
    concrete: takeoff.concrete,
    /** Services over, through and under what is cast; m, m³ left out. */
    crossings: takeoff.crossings.map(({ owner, ...crossing }) => ({
      ...crossing,
      element: takeoff.elements[owner]?.id ?? null,
    })),
    handTrim: takeoff.handTrim,
    // Water nobody knows is not none.
    inflow: takeoff.water.from === null ? null : triple(takeoff.inflow),
    elements: takeoff.elements.map(elementJson),
    cautions: takeoff.cautions.map((c) => ({
      code: c.code,
      weight: c.weight,
      elements: c.elements,
      values: Object.fromEntries(Object.entries(c.values ?? {}).map(([name, [value]]) => [name, value])),
    })),
    steel: steel.steel,
    fittings: steel.fittings,
    problems: [...takeoff.problems, ...steel.problems],
    checks,
  };
}
