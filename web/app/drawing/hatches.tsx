/** Hatches: every soil and material has its own, so colour is never the only carrier. */
import type { SoilKind } from '@cimiento/core';

export const ink = (name: string) => `var(--chakra-colors-${name})`;

const kebab = (kind: string) => kind.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`);
const soilColour = (kind: SoilKind) => ink(`soil-${kebab(kind)}`);

/** Marks drawn over a soil's colour, in a 16 × 16 tile. */
const SOIL_MARKS: Record<SoilKind, string> = {
  topsoil: 'M2 6l3 -4M9 14l3 -4M11 5l2 -3',
  madeGround: 'M2 3l4 4M6 3l-4 4M10 10h4v4h-4z',
  softClay: 'M1 4h5M9 4h3M4 12h5M12 12h3',
  stiffClay: 'M0 4h16M0 12h16',
  gravellyClay: 'M1 4h6M10 3a1.6 1.6 0 1 0 .1 0M9 12h6M3 11a1.6 1.6 0 1 0 .1 0',
  silt: 'M3 2v4M11 10v4M7 8h.5M14 3h.5',
  sandySilt: 'M3 2v4M11 10v4M8 3h.8M3 12h.8M13 5h.8',
  siltySand: 'M2 3h.8M9 6h.8M5 12h.8M13 13h.8M13 2v3',
  sand: 'M2 3h.8M9 2h.8M5 8h.8M13 8h.8M2 13h.8M10 13h.8',
  gravel: 'M4 3a2 2 0 1 0 .1 0M12 9a2.4 2.4 0 1 0 .1 0M3 12a1.2 1.2 0 1 0 .1 0',
  rock: 'M0 5l6 3l4 -5l6 4M6 8l-2 8M10 3l3 13',
};

function Tile({
  id,
  size = 16,
  path,
  stroke,
  width = 1,
  fill,
}: {
  id: string;
  size?: number;
  path: string;
  stroke: string;
  width?: number;
  fill?: string;
}) {
  return (
    <pattern id={id} width={size} height={size} patternUnits="userSpaceOnUse">
      {fill && <rect width={size} height={size} fill={fill} />}
      <path d={path} fill="none" stroke={stroke} strokeWidth={width} strokeLinecap="round" />
    </pattern>
  );
}

/** Pattern definitions for one drawing; ids carry its prefix, since a page holds several. */
export function Hatches({ prefix, soils }: { prefix: string; soils: readonly SoilKind[] }) {
  return (
    <defs>
      {[...new Set(soils)].map((kind) => (
        <Tile
          key={kind}
          id={`${prefix}-${kind}`}
          path={SOIL_MARKS[kind]}
          stroke={ink('soft')}
          width={0.8}
          fill={soilColour(kind)}
        />
      ))}
      <Tile
        id={`${prefix}-batter`}
        size={8}
        path="M-2 10L10 -2M-2 2L2 -2M6 10L10 6"
        stroke={ink('earth')}
        width={0.7}
        fill={ink('earth-wash')}
      />
      <Tile
        id={`${prefix}-stone`}
        size={12}
        path="M3 2a1.8 1.8 0 1 0 .1 0M9 7a1.8 1.8 0 1 0 .1 0"
        stroke={ink('ink')}
        width={0.7}
        fill={ink('sheet')}
      />
      <Tile
        id={`${prefix}-concrete`}
        size={14}
        path="M3 4l1.6 -2.4l1.6 2.4zM10 11h.8M11 4h.8M3 11h.8"
        stroke={ink('placed')}
        width={0.9}
        fill={ink('placed-wash')}
      />
    </defs>
  );
}
