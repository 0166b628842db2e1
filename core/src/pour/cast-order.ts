/** Who is cast first. */
import type { Plan } from '../plan/schema.ts';

/** When each element is cast among the others, by its position: as somebody has said, then as they were drawn. */
export function castRanks({ elements, pour }: Plan): readonly number[] {
  const said = new Map(pour.order.map((id, i) => [id, i]));
  return elements.map(({ id }, i) => said.get(id) ?? pour.order.length + i);
}
