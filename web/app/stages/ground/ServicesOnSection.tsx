/** Pipes and cables of a known level on the cut, with what is left out for them. */
import { type Section, servicesAlong } from '@cimiento/core';
import { ink } from '../../drawing/hatches.tsx';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';

interface Scale {
  readonly x: (s: number) => number;
  readonly y: (level: number) => number;
}

export function ServicesOnSection({
  section,
  scale,
  index,
}: {
  section: Section;
  scale: Scale;
  index: number;
}) {
  const plan = useShownPlan();
  const { x, y } = scale;
  return servicesAlong(plan, useTakeoff(), section, index).map(
    ({ hazard, how, level, size, opening, s0, s1 }) => {
      const px = Math.abs(y(level) - y(level + 1));
      const tall = (of: number) => Math.max(2, of * px);
      const [from, to] = s0 === s1 ? [s0 - size / 2, s0 + size / 2] : [s0, s1];
      const box = (of: number) => ({
        x: s0 === s1 ? x(s0) - tall(of) / 2 : x(from),
        width: s0 === s1 ? tall(of) : x(to) - x(from),
        y: y(level) - tall(of) / 2,
        height: tall(of),
      });
      const round = s0 === s1 && how !== 'leaveOut';
      return (
        <g key={`${hazard.id}${s0}`} pointerEvents="none" data-service={hazard.id} data-how={how}>
          {opening !== null && (
            <rect
              {...box(opening)}
              rx={round ? tall(opening) / 2 : 0}
              fill={ink('paper')}
              stroke={ink('held')}
              strokeWidth={1.2}
              strokeDasharray={how === 'leaveOut' ? '5 3' : undefined}
            />
          )}
          <rect {...box(size)} rx={s0 === s1 ? tall(size) / 2 : 0} fill={ink('held')} fillOpacity={0.55} />
          <text
            x={s0 === s1 ? x(s0) + tall(opening ?? size) / 2 + 5 : Math.max(x(from), x(-section.half)) + 4}
            y={y(level) - tall(opening ?? size) / 2 - 4}
            fill={ink('held')}
            stroke={ink('paper')}
            strokeWidth={3}
            paintOrder="stroke"
            fontSize={12}
          >
            {hazard.name}
          </text>
        </g>
      );
    },
  );
}
