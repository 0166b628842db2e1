/**
 * The stages of the desk, one row each: panels, drawings, layers on the plan, what the column and the next line
 * say. The dig is what a desk opens with; the others come when they are first looked at.
 */
import { adjust, isAssumed, type Plan, setoutPoints, type Takeoff, trickles } from '@cimiento/core';
import { ink } from '../drawing/hatches.tsx';
import { DepthsButton } from '../stages/dig/DepthsButton.tsx';
import { DigPanel } from '../stages/dig/DigPanel.tsx';
import type { Stage } from '../state/stages.ts';
import { later } from '../ui/later.tsx';
import { actText } from '../ui/words.ts';
import { Decides, DecidesUnranked } from './Decides.tsx';
import type { Said, StageRow } from './stageRow.ts';

const digLayers = () => import('../stages/dig/layers.ts');
const digPanels = () => import('../stages/dig/panels.ts');
const fill = () => import('../stages/backfill/index.ts');
const ground = () => import('../stages/ground/index.ts');
const levels = () => import('../stages/levels/index.ts');
const night = () => import('../stages/water/night/index.ts');
const pours = () => import('../stages/pour/PourLayer.tsx');
const placing = () => import('../stages/pour/placing/index.ts');
const proof = () => import('../stages/base/proof/index.ts');
const setout = () => import('../stages/setout/index.ts');

// What lies about the dig comes a moment after the dig.
const site = () => import('../stages/ground/SiteLayer.tsx');
const SiteLayer = later(site, 'SiteLayer');
const SurfaceLayer = later(site, 'SurfaceLayer');
const SiteWorkLayer = later(digLayers, 'SiteWorkLayer');

const Alternatives = later(digPanels, 'Alternatives');
const DigJobPanel = later(digPanels, 'DigJobPanel');
const MachinePanel = later(digPanels, 'MachinePanel');
const SpoilPanel = later(digPanels, 'SpoilPanel');
const TruckPanel = later(digPanels, 'TruckPanel');

const volume = ({ format }: Said, value: number) => format.text(value, 'volume');
const anyDug = ({ elements }: Takeoff) => elements.some((e) => e.live);

/** How far what was taped is off, once something was. */
function tapedOff(plan: Plan, { facts: { taped } }: Takeoff) {
  if (taped.length === 0) return null;
  const { lines, ok } = adjust(setoutPoints(plan), taped, plan.setout.tolerance, plan.setout.temperature);
  return { off: Math.max(0, ...lines.map((line) => Math.abs(line.off))), ok };
}

export const STAGE_TABLE: Readonly<Record<Stage, StageRow>> = {
  ground: {
    Panel: later(ground, 'GroundPanel'),
    // Much can be typed: what it all comes to stands first.
    Over: DecidesUnranked,
    drawings: ['section', 'pit', 'fence', 'frost'],
    layers: [
      { id: 'surface', on: 'ground', when: () => true, Layer: SurfaceLayer },
      { id: 'site', on: 'under', when: ({ stage }) => stage !== 'ground', Layer: SiteLayer },
      { id: 'siteHere', on: 'over', when: ({ stage }) => stage === 'ground', Layer: SiteLayer },
    ],
    beforeAll: true,
    fill: 'url(#column-topsoil)',
    answer: ({ takeoff: { frost }, t, format }) => ({
      text:
        frost.depth === null
          ? t('column.noFrost')
          : t('column.ground', { frost: format.text(frost.depth, 'length') }),
      held: false,
    }),
    next: [
      { rank: 2, say: ({ takeoff, t }) => (takeoff.frost.depth === null ? t('next.frost') : null) },
      // Somebody marks what is buried before a machine comes.
      { rank: 2.5, say: ({ plan, t }) => (isAssumed(plan, '/ground/hazards') ? t('next.services') : null) },
      { rank: 5, say: ({ plan, t }) => (isAssumed(plan, '/ground/logs/0') ? t('next.soil') : null) },
    ],
  },
  setout: {
    Panel: later(setout, 'SetoutPanel'),
    drawings: ['checks', 'boards', 'section'],
    layers: [
      {
        id: 'setout',
        on: 'over',
        when: ({ stage }) => stage === 'setout',
        Layer: later(setout, 'SetoutLayer'),
      },
    ],
    fill: 'url(#column-sand)',
    answer: ({ plan, takeoff, t, format }) => {
      const taped = tapedOff(plan, takeoff);
      return taped
        ? { text: t('column.measured', { off: format.text(taped.off, 'size') }), held: !taped.ok }
        : { text: t('column.drawn', { count: plan.elements.length }), held: false };
    },
    next: [{ rank: 1, say: ({ plan, t }) => (plan.elements.length === 0 ? t('next.draw') : null) }],
  },
  levels: {
    Panel: later(levels, 'LevelsPanel'),
    Over: Decides,
    drawings: ['stack', 'section', 'long'],
    fill: 'url(#column-stiffClay)',
    answer: ({ plan, t, format }) => ({
      text: t('column.levels', { level: format.text(plan.levels.string, 'level') }),
      held: false,
    }),
  },
  dig: {
    Panel: DigPanel,
    Under: () => (
      <>
        <DecidesUnranked />
        <Alternatives />
      </>
    ),
    Last: () => (
      <>
        <SpoilPanel />
        <MachinePanel />
        <TruckPanel />
        <DigJobPanel />
      </>
    ),
    drawings: ['section', 'order', 'trucks', 'piles', 'long'],
    Tool: DepthsButton,
    layers: [
      {
        id: 'depths',
        on: 'dug',
        when: ({ stage, view }) => stage === 'dig' && view.depths,
        Layer: later(digLayers, 'DepthLayer'),
      },
      {
        id: 'asDug',
        on: 'dug',
        when: ({ stage, worked }) =>
          (stage === 'dig' || stage === 'base' || stage === 'pour') && (worked.takeoff?.asDug.size ?? 0) > 0,
        Layer: later(digLayers, 'AsDugLayer'),
      },
      { id: 'siteWork', on: 'under', when: ({ stage }) => stage !== 'ground', Layer: SiteWorkLayer },
      {
        id: 'overdig',
        on: 'over',
        when: ({ view }) => view.hatched !== null,
        Layer: later(digLayers, 'OverdigOnPlan'),
      },
      {
        id: 'order',
        on: 'over',
        when: ({ stage, view }) => stage === 'dig' && view.lower.dig === 'order',
        Layer: later(digLayers, 'OrderLayer'),
      },
      {
        id: 'depthLegend',
        on: 'beside',
        when: ({ stage, view }) => stage === 'dig' && view.depths,
        Layer: later(digLayers, 'DepthLegend'),
      },
      {
        id: 'hatchBar',
        on: 'beside',
        when: ({ view }) => view.hatched !== null && !view.placing,
        Layer: later(digLayers, 'HatchBar'),
      },
    ],
    fill: 'url(#column-softClay)',
    answer: ({ takeoff, t, format }) => {
      const live = takeoff.elements.filter((e) => e.live);
      if (live.length === 0) return { text: t('column.nothing'), held: false };
      const depth = format.text(Math.max(...live.map((e) => e.fromString)), 'length');
      return { text: t('column.dig', { depth }), held: false };
    },
    next: [
      { rank: 3.5, say: ({ plan, t }) => (plan.emergencyContact.trim() === '' ? t('next.call') : null) },
      {
        rank: 6,
        say: ({ plan, t }) =>
          plan.assumed.length > 0 ? t('next.assumed', { count: plan.assumed.length }) : null,
      },
    ],
  },
  water: {
    Panel: later(() => import('../stages/water/WaterPanel.tsx'), 'WaterPanel'),
    drawings: ['section', 'night'],
    layers: [
      {
        id: 'night',
        on: 'over',
        when: ({ stage, plan }) => stage === 'water' || plan.water.ditches.length > 0,
        Layer: later(night, 'NightLayer'),
      },
    ],
    fill: 'url(#column-water)',
    answer: ({ takeoff, t, format }) => {
      const { holes, inflow } = takeoff;
      if (holes.length > 0) {
        const flow = format.text(inflow[1], 'flow');
        return { text: trickles(inflow) ? t('column.trickle') : t('column.water', { flow }), held: true };
      }
      return { text: t(takeoff.water.from === null ? 'column.waterUnknown' : 'column.dry'), held: false };
    },
    next: [
      { rank: 4, say: ({ takeoff, t }) => (takeoff.water.from === null ? t('next.water') : null) },
      { rank: 8, say: ({ plan, t }) => (isAssumed(plan, '/water/storm') ? t('next.night') : null) },
    ],
  },
  base: {
    Panel: later(() => import('../stages/base/BasePanel.tsx'), 'BasePanel'),
    drawings: ['bed', 'proof', 'section'],
    layers: [
      {
        id: 'softSpots',
        on: 'over',
        when: ({ stage, plan }) => stage === 'base' || plan.ground.softSpots.length > 0,
        Layer: later(proof, 'SoftSpotLayer'),
      },
      { id: 'tests', on: 'over', when: ({ stage }) => stage === 'base', Layer: later(proof, 'TestPlaces') },
    ],
    fill: 'url(#column-stone)',
    answer: ({ takeoff: { beds }, t }) => ({
      text: beds.length > 0 ? t('column.base', { count: beds.length }) : t('column.noBase'),
      held: false,
    }),
    next: [{ rank: 7, say: ({ plan, t }) => (isAssumed(plan, '/beds') ? t('next.beds') : null) }],
  },
  pour: {
    Panel: later(() => import('../stages/pour/PourPanel.tsx'), 'PourPanel'),
    drawings: ['section', 'placing'],
    layers: [
      {
        id: 'places',
        on: 'over',
        when: ({ stage, view }) => stage === 'pour' && view.lower.pour === 'placing',
        Layer: later(placing, 'PlacesLayer'),
      },
      {
        id: 'pours',
        on: 'over',
        // Where the order of one is looked at the numbers are of that.
        when: ({ stage, view }) => stage === 'pour' && view.lower.pour !== 'placing',
        Layer: later(pours, 'PourLayer'),
      },
    ],
    fill: 'url(#column-concrete)',
    answer: (job) => ({
      text: anyDug(job.takeoff)
        ? job.t('column.pour', { volume: volume(job, job.takeoff.concrete.ordered) })
        : job.t('column.nothing'),
      held: false,
    }),
  },
  backfill: {
    Panel: later(fill, 'BackfillPanel'),
    drawings: ['section', 'flow'],
    layers: [
      {
        id: 'strips',
        on: 'over',
        when: ({ stage, plan }) => stage === 'backfill' || plan.site.strips.length > 0,
        Layer: later(fill, 'StripLayer'),
      },
    ],
    fill: 'url(#column-sandySilt)',
    answer: (job) => ({
      text: anyDug(job.takeoff)
        ? job.t('column.backfill', { volume: volume(job, job.takeoff.spoil.backfill) })
        : job.t('column.nothing'),
      held: false,
    }),
  },
  log: {
    Panel: later(() => import('../stages/log/LogPanel.tsx'), 'LogPanel'),
    noCautions: true,
    drawings: ['section'],
    fill: ink('sheet'),
    answer: ({ revision, t }) => ({ text: t('jobs.revision', { n: revision }), held: false }),
    // What is left when nothing else is: it always has something to say.
    next: [{ rank: 9, say: ({ t }) => t('next.print') }],
  },
};

const ROWS = Object.entries(STAGE_TABLE) as [Stage, StageRow][];

/** All layers of the plan, in the order of the stages; each with the stage it is of. */
export const PLAN_LAYERS = ROWS.flatMap(([stage, { layers = [] }]) =>
  layers.map((layer) => ({ ...layer, stage })),
);

/** A hold is said before all but what nothing can be said without. */
const HOLD_RANK = 3;
const NEXT = ROWS.flatMap(([stage, { next = [] }]) => next.map((one) => ({ ...one, stage }))).sort(
  (p, q) => p.rank - q.rank,
);

/** The one thing that is worth looking at now. */
export function nextOf(job: Said): { readonly text: string; readonly stage: Stage } {
  const hold = job.takeoff.cautions.find(({ weight }) => weight === 'stop');
  for (const { rank, stage, say } of NEXT) {
    if (hold && rank > HOLD_RANK)
      return {
        text: actText(job.t, job.format, job.plan, hold),
        stage: hold.stage,
      };
    const text = say(job);
    if (text !== null) return { text, stage };
  }
  throw new Error('The last stage always has something to say.');
}
