/** The first minute, whole: what is worked out of what was said before anybody looks at it. */
import { type FirstSaid, firstPlan, type Plan } from '../plan/index.ts';
import { compute } from './pipeline/compute.ts';

/** A bed is laid to the centimetre, m. */
const CM = 0.01;
const up = (m: number) => Math.ceil(m / CM - 1e-6) * CM;
const tidy = (m: number) => Math.round(m * 1e6) / 1e6;

/** The bed of a slab as thick as frost asks, and the drain round it at the bed's foot. */
function slabWhole(plan: Plan): Plan {
  const found = compute(plan).elements.find(({ element }) => element.kind === 'raft');
  const [bed] = plan.beds;
  const layer = bed?.layers[0];
  if (!found || !bed || !layer) return plan;
  const more = up(Math.max(0, found.slab?.short ?? 0));
  const drain = plan.elements.findIndex((one) => one.kind === 'strip' && one.use === 'drain');
  return {
    ...plan,
    beds: [{ ...bed, layers: [{ ...layer, thickness: tidy(layer.thickness + more) }] }],
    // Nobody has said where it lets go: a sump, in pencil.
    assumed: [...plan.assumed, `/elements/${drain}/outfall`],
    elements: plan.elements.map((one, i) =>
      i === drain && one.kind === 'strip'
        ? { ...one, outfall: { level: tidy(found.dug - more), head: null, silt: 0, where: 'sump' } }
        : one,
    ),
  };
}

/** A new job of what was said on the phone. */
export function firstJob(name: string, system: Plan['system'], said: FirstSaid): Plan {
  const plan = firstPlan(name, system, said);
  return said.kind === 'slab' ? slabWhole(plan) : plan;
}
