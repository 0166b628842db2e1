/** Figures of a bench in rows: median and spread. */

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b);
export const share = (values: readonly number[], part: number): number =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * part))] ?? 0;
const ms = (value: number) => value.toFixed(1).padStart(7);

export const row = (name: string, values: readonly number[]): void =>
  console.log(
    `${name.padEnd(34)} median ${ms(share(values, 0.5))}  p95 ${ms(share(values, 0.95))}  min ${ms(share(values, 0))}  max ${ms(share(values, 1))} ms  (n ${values.length})`,
  );

/** Times some work again and again, ms. */
export const repeat = (runs: number, work: () => unknown): number[] =>
  Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
