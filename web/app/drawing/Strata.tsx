/** The ground along a line on a drawing: hatched soils with their names, surface and water. */
import type { FencePost } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { useGround, useShownPlan } from '../state/takeoff.ts';
import { soilName } from '../ui/words.ts';
import { ink } from './hatches.tsx';
import { groundPath, type Scale, soilPaths, waterPath } from './strata.ts';

const words = { fontFamily: 'Barlow', fontWeight: 500, fontSize: 13 } as const;

/** Soils behind everything else. `prefix` is that of the drawing's hatches. */
export function Soils({
  posts,
  scale,
  bottom,
  prefix,
}: {
  posts: readonly FencePost[];
  scale: Scale;
  bottom: number;
  prefix: string;
}) {
  const { soils } = useGround();
  return (
    <g data-strata>
      {soilPaths(posts, scale, bottom).map((d, k) => {
        const soil = soils[k]?.layer;
        return (
          d &&
          soil && (
            <path
              key={soil.id}
              data-soil={soil.id}
              d={d}
              fill={`url(#${prefix}-${soil.kind})`}
              stroke={ink('edge')}
              strokeWidth={0.6}
            />
          )
        );
      })}
    </g>
  );
}

/** Surface and water lines, in front. The surface beyond the survey is a guess and drawn as one. */
export function GroundLines({ posts, scale }: { posts: readonly FencePost[]; scale: Scale }) {
  return (
    <g pointerEvents="none">
      <path
        d={groundPath(posts, scale)}
        fill="none"
        stroke={ink('ink')}
        strokeWidth={1}
        strokeDasharray="1 3"
      />
      <path d={waterPath(posts, scale)} fill="none" stroke={ink('water')} strokeWidth={1.5} />
    </g>
  );
}

/** Names of the soils at one place, left out where there is no room. */
export function SoilNames({
  post,
  scale,
  bottom,
  end = false,
}: {
  post: FencePost | null;
  scale: Scale;
  bottom: number;
  end?: boolean;
}) {
  const { t } = useTranslation();
  const { soils } = useGround();
  const plan = useShownPlan();
  if (!post) return null;
  return (
    <g pointerEvents="none">
      {soils.map((soil, k) => {
        const from = scale.y(post.tops[k]!);
        const below = post.tops[k + 1];
        const to = below === undefined ? bottom : Math.min(bottom, scale.y(below));
        if (to - from < 14) return null;
        return (
          <SoilName
            key={soil.layer.id}
            x={scale.x(post.s) + (end ? -10 : 10)}
            end={end}
            y={Math.min((from + to) / 2, bottom - 12)}
            text={soilName(t, plan, soil.layer)}
          />
        );
      })}
    </g>
  );
}

export function SoilName({ x, y, text, end = false }: { x: number; y: number; text: string; end?: boolean }) {
  const width = text.length * 6.6 + 10;
  return (
    <g pointerEvents="none">
      <rect
        x={end ? x + 4 - width : x - 4}
        y={y - 9}
        width={width}
        height={18}
        rx={2}
        fill={ink('sheet')}
        opacity={0.85}
      />
      <text x={x} y={y + 4.5} textAnchor={end ? 'end' : 'start'} fill={ink('ink')} style={words}>
        {text}
      </text>
    </g>
  );
}
