/** Rows of the dig sheet: what is dug alike is told once. */
import { type ElementTakeoff, longSection, type Plan, type Takeoff } from '@cimiento/core';
import type { Format } from '../../ui/format.tsx';

/** Elements dug alike share a row of the table; every tread of a stepped strip has its own. */
export interface Row {
  readonly key: string;
  readonly names: string[];
  readonly info: ElementTakeoff;
  /** Of the plan's elements the one that is drawn. */
  readonly index: number;
  /** Levels asked of the bottom, of the footing's underside and its top. */
  readonly formation: number;
  readonly underside: number;
  readonly top: number;
  groundLow: number;
  groundHigh: number;
}

export function rowsOf(plan: Plan, takeoff: Takeoff, format: Format): Row[] {
  const rows = new Map<string, Row>();
  const mm = (v: number) => Math.round(v * 1000);
  takeoff.elements.forEach((info, index) => {
    if (!info.live) return;
    const { name, thickness } = plan.elements[index]!;
    if (info.steps) {
      const section = longSection(plan, takeoff, index);
      section?.stretches.forEach((stretch) => {
        const from = format.parts(stretch.s0, 'length').number;
        const posts = section.posts.filter((p) => p.s >= stretch.s0 - 1e-9 && p.s <= stretch.s1 + 1e-9);
        rows.set(`${info.id}:${stretch.s0}`, {
          key: `${info.id}:${stretch.s0}`,
          names: [`${name} ${from}–${format.text(stretch.s1, 'length')}`],
          info,
          index,
          formation: stretch.formation,
          underside: stretch.underside,
          top: stretch.underside + thickness,
          groundLow: Math.min(...posts.map((p) => p.ground)),
          groundHigh: Math.max(...posts.map((p) => p.ground)),
        });
      });
      return;
    }
    const key =
      [info.string.level, info.formation, info.underside, info.top, info.width.dug, info.slope]
        .map(mm)
        .join() + info.support;
    const row = rows.get(key);
    if (row) {
      row.names.push(name);
      row.groundLow = Math.min(row.groundLow, info.groundLow);
      row.groundHigh = Math.max(row.groundHigh, info.groundHigh);
    } else
      rows.set(key, {
        key,
        names: [name],
        info,
        index,
        formation: info.formation,
        underside: info.underside,
        top: info.top,
        groundLow: info.groundLow,
        groundHigh: info.groundHigh,
      });
  });
  return [...rows.values()];
}
