/** The first minute, whole: what is worked out of what was said before anybody looks at it. */
import { type FirstSaid, firstPlan, type Plan } from '../plan/index.ts';
import { compute } from './pipeline/compute.ts';

/** A bed is laid to the centimetre, m. */
const CM = 0.01;
const up = (m: number) => Math.ceil(m / CM - 1e-6) * CM;
const tidy = (m: number) => Math.round(m * 1e6) / 1e6;

/** The bed of a slab as thick as frost asks, and the drain round it at the bed's foot. */
function slabWhole(plan: Plan): Plan {
  const [bed] = plan.beds;
  const raft = plan.elements.find(({ kind }) => kind === 'raft');
  const layer = bed?.layers[0];
  if (!raft || !bed || !layer) return plan;
  const short = compute(plan).elements.find(({ id }) => id === raft.id)?.slab?.short ?? 0;
  const deep: Plan = {
    ...plan,
    beds: [{ ...bed, layers: [{ ...layer, thickness: tidy(layer.thickness + up(Math.max(0, short))) }] }],
  };
  const foot = compute(deep).elements.find(({ id }) => id === raft.id)?.dug;
  return foot === undefined
    ? deep
    : {
        ...deep,
        // Nobody has said where it lets go: a sump, in pencil.
        assumed: [
          ...deep.assumed,
          ...deep.elements.flatMap((one, i) =>
            one.kind === 'strip' && one.use === 'drain' ? [`/elements/${i}/outfall`] : [],
          ),
        ],
        elements: deep.elements.map((one) =>
          one.kind === 'strip' && one.use === 'drain'
            ? { ...one, outfall: { level: tidy(foot), head: null, silt: 0, where: 'sump' } }
            : one,
        ),
      };
}

/** A new job of what was said on the phone. */
export function firstJob(name: string, system: Plan['system'], said: FirstSaid): Plan {
  const plan = firstPlan(name, system, said);
  return said.kind === 'slab' ? slabWhole(plan) : plan;
}
