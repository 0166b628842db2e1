/** What of filling again, and of what is stripped, cannot be as it is typed. */
import { fitnessOf, topsoilUnder } from '../../backfill/index.ts';
import { crossing, tidy } from '../../geometry/index.ts';
import type { GroundModel } from '../../ground/index.ts';
import type { Plan } from '../../plan/schema.ts';
import type { Problem } from '../../results/index.ts';
import type { ElementTakeoff } from '../../takeoff/index.ts';

/** A hair over is not over, m. */
const HAIR = 1e-6;

/** An outline that crosses itself, one that nobody said how far it is taken down, topsoil thicker than there is. */
const stripProblems = ({ site }: Plan, model: GroundModel): Problem[] =>
  site.strips.flatMap((own, i): Problem[] => {
    const path = `/site/strips/${i}`;
    const params = { name: own.name };
    const corners = tidy(own.points);
    if (corners.length < 3) return [{ code: 'outlineFlat', path: `${path}/points`, params }];
    const crossed = crossing(corners);
    if (crossed)
      return [
        {
          code: 'outlineCrosses',
          path: `${path}/points`,
          params: { one: crossed[0] + 1, other: crossed[1] + 1 },
        },
      ];
    const field = own.kind === 'topsoil' ? 'thickness' : 'level';
    if (own[field] === null) return [{ code: 'stripOpen', path: `${path}/${field}`, params }];
    const thick = own.kind === 'topsoil' ? topsoilUnder(model, own) : null;
    return thick !== null && own.thickness !== null && own.thickness > thick + HAIR
      ? [
          {
            code: 'stripThick',
            path: `${path}/thickness`,
            value: own.thickness,
            max: thick,
            kind: 'size',
            params,
          },
        ]
      : [];
  });

/** Fill that would stand higher than the hole it fills. */
function highProblems({ backfill }: Plan, live: readonly ElementTakeoff[]): Problem[] {
  const deepest = live.reduce<ElementTakeoff | null>(
    (best, info) => (best === null || info.depth > best.depth ? info : best),
    null,
  );
  if (!deepest) return [];
  const high = (path: string, value: number, of: ElementTakeoff): Problem[] =>
    value > of.depth + HAIR
      ? [{ code: 'fillHigh', path, value, max: of.depth, kind: 'size', params: { name: of.element.name } }]
      : [];
  return [
    ...(backfill.topsoil === null ? [] : high('/backfill/topsoil', backfill.topsoil, deepest)),
    ...(backfill.surround === null ? [] : high('/backfill/surround/over', backfill.surround.over, deepest)),
    ...backfill.oneSided.flatMap(({ element, height }, i) => {
      const own = live.find(({ id }) => id === element);
      return own ? high(`/backfill/oneSided/${i}/height`, height, own) : [];
    }),
  ];
}

/** Soil that is to dry, and nobody said for how long. */
const dryProblems = (plan: Plan, { soils }: GroundModel): Problem[] =>
  plan.backfill.soils.flatMap(({ soil, days }, i): Problem[] => {
    const own = soils.find(({ layer }) => layer.id === soil);
    return own && fitnessOf(plan, own).use === 'dry' && (days === null || days <= 0)
      ? [{ code: 'fillNoDays', path: `/backfill/soils/${i}/days`, ...(days !== null && { value: days }) }]
      : [];
  });

export const fillProblems = (
  plan: Plan,
  model: GroundModel,
  elements: readonly ElementTakeoff[],
): Problem[] => [
  ...stripProblems(plan, model),
  ...highProblems(
    plan,
    elements.filter(({ live }) => live),
  ),
  ...dryProblems(plan, model),
];
