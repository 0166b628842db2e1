/** What is laid of the floors that slabs on the ground carry: every layer by area, volume, mass, sheets. */
import { BED_MATERIALS } from '../catalogue/bed-materials.ts';
import { area as areaOf, flat, perimeter } from '../geometry/index.ts';
import type { Element, Raft } from '../plan/elements.ts';
import type { BOARD_ZONES } from '../plan/kinds.ts';
import type { FloorLayer, FloorSpec, Plan } from '../plan/schema.ts';
import { floorOf } from '../plan/strings.ts';
import { floorSlabOf } from '../plan/variants.ts';
import { boardArea } from './insulation-boards.ts';

type BoardZone = (typeof BOARD_ZONES)[number];

/** A sheet of board, m²; laps of membrane and offcuts of board, share: typical. */
const SHEET = 1.2 * 2.4;
const OFFCUT = 0.05;
const LAP = 0.1;

export interface FloorLayerTakeoff {
  readonly layer: FloorLayer;
  /** Of boards a slab has besides: where they lie. */
  readonly zone: BoardZone | null;
  /** m² covered; of membrane and board what is bought, with laps and offcuts. */
  readonly area: number;
  readonly bought: number;
  readonly volume: number;
  /** kg; null for what is not weighed. */
  readonly mass: number | null;
  /** Boards of 1.2 × 2.4 m; null for what does not come in sheets. */
  readonly sheets: number | null;
}

export interface FloorTakeoff {
  readonly floor: FloorSpec;
  readonly elements: readonly string[];
  readonly area: number;
  /** m round the slabs: edge board. */
  readonly edge: number;
  readonly layers: readonly FloorLayerTakeoff[];
}

function layerOf(layer: FloorLayer, area: number, zone: BoardZone | null = null): FloorLayerTakeoff {
  const { material, thickness } = layer;
  const volume = area * thickness;
  const board = material === 'insulation';
  const bought = area * (1 + (material === 'membrane' ? LAP : board ? OFFCUT : 0));
  const weighed =
    material === 'sand' ? BED_MATERIALS.sand : material === 'stone' ? BED_MATERIALS.hardcore : null;
  return {
    layer,
    zone,
    area,
    bought,
    volume,
    mass: weighed && volume * weighed.density,
    sheets: board ? Math.ceil(bought / SHEET - 1e-9) : null,
  };
}

/** Boards a slab has besides those of its floor. */
const boardsOf = (slab: Raft): FloorLayerTakeoff[] =>
  slab.boards
    ? [
        layerOf(
          {
            id: `boards-${slab.id}`,
            name: '',
            material: 'insulation',
            thickness: slab.boards.thickness,
            joint: null,
          },
          boardArea(slab),
          slab.boards.zone,
        ),
      ]
    : [];

/** Floors with the slabs that carry them, by the inside of each slab's outline. */
export function floorTakeoffs(plan: Plan, live: (element: Element) => boolean): FloorTakeoff[] {
  const slabs = plan.elements.flatMap((element) => (live(element) ? (floorSlabOf(element) ?? []) : []));
  return plan.levels.floors.flatMap((floor) => {
    const own = slabs.filter((slab) => floorOf(plan, slab)?.id === floor.id);
    if (own.length === 0) return [];
    const area = own.reduce((sum, slab) => sum + Math.abs(areaOf(flat(slab.outline))), 0);
    return [
      {
        floor,
        elements: own.map((slab) => slab.id),
        area,
        edge: own.reduce((sum, slab) => sum + perimeter(slab.outline), 0),
        // The slab itself is concrete, counted with it.
        layers: [
          ...floor.layers
            .filter((layer) => layer.joint === null && layer.material !== 'slab')
            .map((layer) => layerOf(layer, area)),
          ...own.flatMap(boardsOf),
        ],
      },
    ];
  });
}
