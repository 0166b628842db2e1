/** How each material of a build-up is drawn: a fill of its own, so that colour is not alone. */
import type { MaterialId } from '@cimiento/core';
import { ink } from '../../drawing/hatches.tsx';

const MARKS: Record<MaterialId, { path: string; fill: string; stroke: string }> = {
  finish: { path: 'M0 0h16v16h-16z', fill: 'sheet', stroke: 'ink' },
  screed: { path: 'M3 3h.8M10 6h.8M6 12h.8M13 13h.8', fill: 'sheet', stroke: 'ink' },
  slab: { path: 'M3 5l1.6 -2.4l1.6 2.4zM11 12h.8M12 4h.8M3 12h.8', fill: 'placed-wash', stroke: 'placed' },
  insulation: { path: 'M0 12L4 4L8 12L12 4L16 12', fill: 'chalk-wash', stroke: 'chalk' },
  membrane: { path: 'M0 8h16', fill: 'ink', stroke: 'ink' },
  sand: { path: 'M2 3h.8M9 2h.8M5 8h.8M13 8h.8M2 13h.8M10 13h.8', fill: 'soil-sand', stroke: 'soft' },
  stone: { path: 'M4 3a2 2 0 1 0 .1 0M12 9a2.4 2.4 0 1 0 .1 0', fill: 'sheet', stroke: 'ink' },
  lean: { path: 'M0 16L16 0M-4 4L4 -4M12 20L20 12', fill: 'sheet', stroke: 'placed' },
  brick: { path: 'M0 8h16M0 16h16M8 0v8M0 8v8', fill: 'earth-wash', stroke: 'earth' },
  block: { path: 'M0 15h16M15 0v15', fill: 'placed-wash', stroke: 'ink' },
  other: { path: 'M2 2l12 12M14 2l-12 12', fill: 'sheet', stroke: 'soft' },
};

export function MaterialHatches({ prefix }: { prefix: string }) {
  return (
    <defs>
      {(Object.keys(MARKS) as MaterialId[]).map((id) => {
        const { path, fill, stroke } = MARKS[id];
        return (
          <pattern key={id} id={`${prefix}-${id}`} width={16} height={16} patternUnits="userSpaceOnUse">
            <rect width={16} height={16} fill={ink(fill)} />
            <path d={path} fill="none" stroke={ink(stroke)} strokeWidth={0.9} />
          </pattern>
        );
      })}
    </defs>
  );
}
