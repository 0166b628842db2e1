/** Pours: what is cast together, what it takes, how many trucks bring it. */
import type { Plan } from '../plan/schema.ts';
import { castOf, POUR_KINDS, type PourKind } from './kinds.ts';
import { deliveryOf } from './place.ts';

export interface Pour {
  readonly id: string;
  /** As somebody named it; null: by its kind. */
  readonly name: string | null;
  readonly kind: PourKind | null;
  readonly elements: readonly string[];
  /** m³. */
  readonly neat: number;
  readonly ordered: number;
  readonly loads: number;
}

/**
 * Pours of a job: those somebody named, then what is left with its like. Pours without concrete are
 * left out. An element named twice is cast in the first.
 * @param concrete of every element, m³, by position
 */
export function poursOf(plan: Plan, concrete: readonly number[]): Pour[] {
  const { together, waste, step, truck } = plan.pour;
  const left = new Set(plan.elements.flatMap((element, i) => (concrete[i]! > 0 ? [element.id] : [])));
  const volume = new Map(plan.elements.map((element, i) => [element.id, concrete[i]!]));
  const pour = (
    id: string,
    name: string | null,
    kind: PourKind | null,
    wanted: readonly string[],
  ): Pour[] => {
    const elements = wanted.filter((element) => left.delete(element));
    if (elements.length === 0) return [];
    const neat = elements.reduce((sum, element) => sum + volume.get(element)!, 0);
    return [{ id, name, kind, elements, neat, ...deliveryOf(neat, waste, step, truck) }];
  };
  return [
    ...together.flatMap(({ id, name, elements }) => pour(id, name, null, elements)),
    ...POUR_KINDS.flatMap((kind) =>
      pour(
        kind,
        null,
        kind,
        plan.elements.filter((element) => castOf(element).pours === kind).map((element) => element.id),
      ),
    ),
  ];
}
