/** What contradicts itself within one element, by its kind. */

import { PRACTICE } from '../catalogue/practice.ts';
import { area, crossing, flat, offset, tidy } from '../geometry/index.ts';
import type { Element, ElementOf, Rising } from '../plan/elements.ts';
import type { ElementOfForm, RunElement } from '../plan/forms.ts';
import { type ElementKind, FORMS, type Form } from '../plan/kinds.ts';
import type { Plan } from '../plan/schema.ts';
import { traitsOf } from '../plan/variants.ts';
import type { Problem } from '../results/index.ts';
import { axisLength } from '../setout/footprint.ts';
import { shapeOf } from '../setout/kinds.ts';
import { sizesOf } from '../setout/places.ts';

/** An outline that is one: no side crosses another, and it encloses something. */
export function outlineProblems(outline: readonly (readonly [number, number])[], path: string): Problem[] {
  const crossed = crossing(outline);
  if (crossed)
    return [{ code: 'outlineCrosses', path, params: { one: crossed[0] + 1, other: crossed[1] + 1 } }];
  const corners = tidy(outline);
  return corners.length < 3 || area(flat(corners)) < 1e-4 ? [{ code: 'outlineFlat', path }] : [];
}

type Contradictions<E extends Element> = (element: E, path: string, plan: Plan) => Problem[];

const runProblems = (element: RunElement, path: string): Problem[] => {
  const [first] = element.points;
  const long = element.points.some((p) => first && Math.hypot(p[0] - first[0], p[1] - first[1]) > 1e-3);
  const { key, width } = element;
  return [
    ...(long ? [] : [{ code: 'zeroLength', path: `${path}/points` } as const]),
    ...(key && key.width > width + 1e-9
      ? [{ code: 'keyWider', path: `${path}/key/width`, value: key.width, max: width, kind: 'size' } as const]
      : []),
  ];
};

/** A drain that cannot run: its outlet over its head, its pipe larger than its trench. */
function drainProblems(strip: ElementOf['strip'], path: string): Problem[] {
  if (!traitsOf(strip).falls) return [];
  const { outfall, pipe, width, thickness } = strip;
  const out: Problem[] = [];
  if (outfall && outfall.head !== null && outfall.level > outfall.head + 1e-9)
    out.push({
      code: 'outfallAbove',
      path: `${path}/outfall/level`,
      value: outfall.level,
      max: outfall.head,
      kind: 'level',
    });
  const most = pipe ? Math.min(width, thickness - pipe.bedding) : Infinity;
  if (pipe && pipe.diameter > most + 1e-9)
    out.push({
      code: 'pipeLarger',
      path: `${path}/pipe/diameter`,
      value: pipe.diameter,
      max: Math.max(0, most),
      kind: 'size',
    });
  return out;
}

/** What contradicts itself within an element of a form. */
const FORMS_PROBLEMS: { readonly [F in Form]?: Contradictions<ElementOfForm<F>> } = {
  run: runProblems,
  outline: (element, path) => outlineProblems(element.outline, `${path}/outline`),
};

/** What contradicts itself beside that, of the kinds of which more is to say. */
const CONTRADICTIONS: { readonly [K in ElementKind]?: Contradictions<ElementOf[K]> } = {
  strip: drainProblems,
  underpin: (element, path) => {
    const { old, level } = element;
    return [
      ...(old && level !== null && level >= old.underside
        ? [
            {
              code: 'underOld',
              path: `${path}/level`,
              value: level,
              max: old.underside,
              kind: 'level',
            } as const,
          ]
        : []),
      ...(element.bay > axisLength(element) + 1e-9
        ? [
            {
              code: 'bayLonger',
              path: `${path}/bay`,
              value: element.bay,
              max: axisLength(element),
              kind: 'size',
            } as const,
          ]
        : []),
    ];
  },
  raft: (element, path, plan) =>
    traitsOf(element).byFloor && plan.levels.floors.length === 0
      ? [{ code: 'slabNoFloor', path: `${path}/founding` } as const]
      : [],
  box: (element, path) => {
    const out: Problem[] = [];
    const whole = outlineProblems(element.outline, `${path}/outline`).length === 0;
    if (whole && offset(tidy(element.outline), -element.wall) === null)
      out.push({ code: 'wallFills', path: `${path}/wall`, value: element.wall, kind: 'size' });
    const { height, thickness, roof } = element;
    const slabs = thickness + roof;
    if (slabs >= height)
      out.push({ code: 'boxLow', path: `${path}/height`, value: height, min: slabs, kind: 'size' });
    return out;
  },
  ramp: (element, path, plan) =>
    plan.elements.some((e) => e.id === element.serves && shapeOf(e).founded)
      ? []
      : [{ code: 'unknownElement', path: `${path}/serves`, value: element.serves }],
};

/** A wall wider than its footing, without the height it is told by, or cast in rises thinner than the stone in it. */
function risingProblems(plan: Plan, element: Element, rising: Rising, most: number, path: string): Problem[] {
  const { thickness, long, top, height, level, made, rise } = rising;
  const stone = plan.pour.topSize ?? PRACTICE.topSize.value;
  const wants = (what: 'height' | 'level', value: number | null): Problem[] =>
    top === what && value === null ? [{ code: 'risingOpen', path: `${path}/${what}` }] : [];
  return [
    ...(thickness > most + 1e-9
      ? [
          {
            code: 'stemWider',
            path: `${path}/thickness`,
            value: thickness,
            max: most,
            kind: 'size',
          } as const,
        ]
      : []),
    ...(long !== null && long > sizesOf(element).along + 1e-9
      ? [
          {
            code: 'stemWider',
            path: `${path}/long`,
            value: long,
            max: sizesOf(element).along,
            kind: 'size',
          } as const,
        ]
      : []),
    ...wants('height', height),
    ...wants('level', level),
    ...(made === 'cast' && rise !== null && rise < stone - 1e-9
      ? [{ code: 'riseThin', path: `${path}/rise`, value: rise, min: stone, kind: 'size' } as const]
      : []),
  ];
}

/** What contradicts itself within one element. */
export function shapeProblems(plan: Plan, element: Element, path: string): Problem[] {
  const most = sizesOf(element).across;
  const { rising } = element;
  const byForm = FORMS_PROBLEMS[FORMS[element.kind]] as Contradictions<Element> | undefined;
  const own = CONTRADICTIONS[element.kind] as Contradictions<Element> | undefined;
  return [
    ...(rising ? risingProblems(plan, element, rising, most, `${path}/rising`) : []),
    ...(byForm?.(element, path, plan) ?? []),
    ...(own?.(element, path, plan) ?? []),
  ];
}
