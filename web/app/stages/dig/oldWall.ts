/** The old wall of an underpinned run, to begin with. */
import { startOf, type Takeoff, type Underpin } from '@cimiento/core';

/**
 * A wall with what is typical of one, half a metre over what is dug now and never over the ground: to be
 * replaced by what is laid bare.
 */
export function newWall(
  system: Parameters<typeof startOf>[1],
  info: Pick<Takeoff['elements'][number], 'underside' | 'groundLow'> | undefined,
): NonNullable<Underpin['old']> {
  const { underside, groundLow } = info ?? { underside: 0, groundLow: Infinity };
  // What carries a wall lies in the ground: at most half way up to it.
  const most = Math.max(0, groundLow - underside);
  const level = (over: number, share: number) =>
    Math.round((underside + Math.min(over, share * most)) * 1000) / 1000;
  return {
    underside: level(0.5, 0.5),
    thickness: startOf('/elements/*/old/thickness', system),
    inside: level(0.9, 1),
    access: startOf('/elements/*/old/access', system),
    gap: startOf('/elements/*/old/gap', system),
  };
}
