/**
 * The other school: instead of going below frost, dig out what frost lifts and float the slab on a
 * drained, compacted bed it cannot lift, with or without an insulation board. The frost line must
 * stay in the bed. It sizes the bed for frost only: bearing, uplift and reinforcement are an
 * engineer's, and the result always says so.
 */

import { BOARD, type Frost } from '../ground/design-frost.ts';
import { dryLayer } from '../ground/frost.ts';
import type { GroundModel } from '../ground/strata.ts';
import type { Plan } from '../plan/schema.ts';
import { LEAST_BED, reachUnder } from './slab.ts';

export interface Shallow {
  /** Bed under the slab that keeps the frost line in it, m. */
  readonly bed: number;
  /** Bed under the thickened edge, m. */
  readonly bedUnderEdge: number;
  /** How deep the frost comes below the top of the slab, m. */
  readonly frost: number;
  readonly slabTop: number;
  readonly formation: number;
  /** Plan of the bed: the slab and half the bed's thickness past it (2:1 spread), m². */
  readonly area: number;
  /** m³. */
  readonly dig: number;
  readonly bedVolume: number;
  readonly concrete: number;
  /** Drain: level it leaves at, level it needs at the outfall, and what is to spare; null without an outfall. */
  readonly drain: { readonly leaves: number; readonly arrives: number; readonly spare: number } | null;
  /** Soils under the bed that frost would lift, which is why it must stay above them. */
  readonly heaving: boolean;
}

/** Null when the plan does not ask for it, or nothing is known of the winter. */
export function shallowOf(
  plan: Plan,
  model: GroundModel,
  frost: Frost,
  floorLevel: number | null,
): Shallow | null {
  const { shallow } = plan.levels;
  const { climate } = frost;
  if (!shallow || !climate) return null;
  const { board } = shallow;
  const boards = board ? [dryLayer(board.thickness, board.conductivity, BOARD.heat)] : [];
  const reach = (concrete: number) => reachUnder(concrete, boards, shallow.bed, climate);
  const boarded = board?.thickness ?? 0;
  const needed = (concrete: number) => Math.max(LEAST_BED, reach(concrete) - concrete - boarded);
  const under = needed(shallow.slab);
  const underEdge = needed(shallow.edge);
  const at = plan.ground.logs[0]?.at ?? [0, 0];
  const ground = model.level(at[0], at[1]);
  const slabTop = floorLevel ?? ground + shallow.slab;
  const formation = slabTop - shallow.slab - boarded - under;
  const edgeFormation = slabTop - shallow.edge - boarded - underEdge;
  const grown = (size: number) => size + under;
  const area = grown(shallow.length) * grown(shallow.width);
  const inner =
    Math.max(0, shallow.length - 2 * shallow.edgeWidth) * Math.max(0, shallow.width - 2 * shallow.edgeWidth);
  const ring = shallow.length * shallow.width - inner;
  // Below the general formation only the ring under the edges goes on down.
  const deeper = Math.max(0, formation - edgeFormation);
  const edge = ring * Math.max(0, shallow.edge - shallow.slab);
  const lowest = Math.min(formation, edgeFormation);
  const { outfall, fall } = shallow;
  const column = model.column(at[0], at[1]);
  return {
    bed: under,
    bedUnderEdge: underEdge,
    frost: reach(shallow.slab),
    slabTop,
    formation,
    area,
    dig: area * Math.max(0, ground - formation) + ring * deeper,
    bedVolume: area * under + ring * deeper - Math.min(edge, area * under),
    concrete: shallow.length * shallow.width * shallow.slab + edge,
    drain: outfall && {
      leaves: lowest,
      arrives: lowest - outfall.distance * fall,
      spare: lowest - outfall.distance * fall - outfall.level,
    },
    heaving: column.some(({ soil, bottom }) => soil.frostGroup !== 'NFS' && bottom > ground - formation),
  };
}
