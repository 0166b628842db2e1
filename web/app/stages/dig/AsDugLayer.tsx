/** Bottoms as they were shot: low in the colour of water, high in that of earth, the deeper the stronger. */
import { ink } from '../../drawing/hatches.tsx';
import { polygonPath, type View } from '../../drawing/view.ts';
import { useTakeoff } from '../../state/takeoff.ts';

/** So much low or high is shown as strongly as can be, m. */
const STRONGEST = 0.08;

export function AsDugLayer({ view }: { view: View }) {
  const { asDug } = useTakeoff();
  return (
    <g pointerEvents="none" data-as-dug={asDug.size}>
      {[...asDug].map(([id, { pieces, shots }]) => (
        <g key={id}>
          {pieces.map(({ plan, low }, i) => {
            const corners = plan.length / 2;
            let deep = 0;
            for (let k = 0; k < plan.length; k += 2)
              deep += (low.a * plan[k]! + low.b * plan[k + 1]! + low.c) / corners;
            return (
              <path
                // biome-ignore lint/suspicious/noArrayIndexKey: pieces are known by their place
                key={i}
                d={polygonPath(view, plan)}
                fill={ink(deep > 0 ? 'water' : 'earth')}
                fillOpacity={Math.min(0.75, 0.1 + (0.65 * Math.abs(deep)) / STRONGEST)}
              />
            );
          })}
          {shots.map(
            ({ id: shot, place, verdict, doubted }) =>
              place && (
                <circle
                  key={shot}
                  cx={view.x(place[0])}
                  cy={view.y(place[1])}
                  r={3.2}
                  fill={doubted ? ink('paper') : ink('ink')}
                  stroke={ink(verdict && verdict.word !== 'good' ? 'held' : 'ink')}
                  strokeWidth={1.6}
                  data-shot={verdict?.word ?? ''}
                />
              ),
          )}
        </g>
      ))}
    </g>
  );
}
