/** How much water a hole holds up to a level, and how high so much stands: straight between levels. */

export interface Storage {
  /** Rising levels, m, and the m³ held up to each; the first holds none. */
  readonly levels: readonly number[];
  readonly volumes: readonly number[];
}

/**
 * @param under m³ of room for water below a level
 * @param base nothing is held below it; @param rim past it water runs out over the ground
 */
export function storageOf(under: (level: number) => number, base: number, rim: number, steps = 60): Storage {
  const levels = [base];
  const volumes = [0];
  for (let i = 1; i <= steps; i++) {
    const level = base + ((rim - base) * i) / steps;
    const volume = under(level);
    // What holds no more than the level below it would have no level of its own.
    if (volume <= volumes.at(-1)! + 1e-9) continue;
    levels.push(level);
    volumes.push(volume);
  }
  return { levels, volumes };
}

/** Position of the last entry that is no more than a value, in a rising list. */
function lastBelow(list: readonly number[], value: number): number {
  let [low, high] = [0, list.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (list[middle]! <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

function between(from: readonly number[], to: readonly number[], value: number): number {
  const i = lastBelow(from, value);
  if (value <= from[0]!) return to[0]!;
  if (i + 1 >= from.length) return to.at(-1)!;
  return to[i]! + ((to[i + 1]! - to[i]!) * (value - from[i]!)) / (from[i + 1]! - from[i]!);
}

export const levelOf = ({ levels, volumes }: Storage, volume: number): number =>
  between(volumes, levels, volume);
export const volumeTo = ({ levels, volumes }: Storage, level: number): number =>
  between(levels, volumes, level);
export const brimful = ({ volumes }: Storage): number => volumes.at(-1)!;
