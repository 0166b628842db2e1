/** How each material of a bed is drawn: a fill of its own, so that colour is not alone. */
import { BED_MATERIAL_IDS, type BedMaterialId } from '@cimiento/core';
import { ink } from './hatches.tsx';

const MARKS: Record<BedMaterialId, { path: string; fill: string; stroke: string }> = {
  crushed: {
    path: 'M2 3l5 -1l1 4l-4 2zM10 9l5 1l-2 4l-4 -2zM2 12l3 1l-2 2z',
    fill: 'sheet',
    stroke: 'ink',
  },
  clear: { path: 'M4 2a2.2 2.2 0 1 0 .1 0M12 9a2.2 2.2 0 1 0 .1 0', fill: 'sheet', stroke: 'ink' },
  pitGravel: {
    path: 'M4 3a1.8 1.8 0 1 0 .1 0M12 10a1.4 1.4 0 1 0 .1 0M11 3h.8M3 12h.8M8 8h.8',
    fill: 'soil-gravel',
    stroke: 'ink',
  },
  sand: { path: 'M2 3h.8M9 2h.8M5 8h.8M13 8h.8M2 13h.8M10 13h.8', fill: 'soil-sand', stroke: 'soft' },
  fine: { path: 'M2 2h.8M6 5h.8M11 2h.8M3 9h.8M9 9h.8M14 12h.8M6 13h.8', fill: 'sheet', stroke: 'ink' },
  hardcore: { path: 'M1 3h6v5h-6zM10 9h5v4h-5zM9 1l4 2l-2 3z', fill: 'sheet', stroke: 'soft' },
  soilCement: {
    path: 'M2 3h.8M9 2h.8M5 8h.8M13 8h.8M0 16L16 0',
    fill: 'sheet',
    stroke: 'placed',
  },
  lean: { path: 'M0 16L16 0M-4 4L4 -4M12 20L20 12', fill: 'sheet', stroke: 'placed' },
  own: { path: 'M2 2l4 4M6 2l-4 4M10 10l4 4M14 10l-4 4', fill: 'sheet', stroke: 'ink' },
};

export const bedFill = (prefix: string, material: BedMaterialId) => `url(#${prefix}-bed-${material})`;

/** Pattern definitions for one drawing; ids carry its prefix, since a page holds several. */
export function BedHatches({ prefix }: { prefix: string }) {
  return (
    <defs>
      {BED_MATERIAL_IDS.map((id) => {
        const { path, fill, stroke } = MARKS[id];
        return (
          <pattern key={id} id={`${prefix}-bed-${id}`} width={16} height={16} patternUnits="userSpaceOnUse">
            <rect width={16} height={16} fill={ink(fill)} />
            <path d={path} fill="none" stroke={ink(stroke)} strokeWidth={0.9} />
          </pattern>
        );
      })}
    </defs>
  );
}
