/** Where a pour is placed and in what order, on the plan: what is placed by the step that is played, joints, where it is let off. */
import { cornersOf, type Place } from '@cimiento/core';
import { memo } from 'react';
import { ink } from '../../../drawing/hatches.tsx';
import type { View } from '../../../drawing/view.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk } from '../../../state/store.ts';
import { usePlacing } from './usePlacing.ts';

const letters = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

const pathOf = ({ plan }: Pick<Place, 'plan'>, view: View): string =>
  `M${cornersOf(plan)
    .map(([x, y]) => `${view.x(x)} ${view.y(y)}`)
    .join('L')}Z`;
const middleOf = ({ plan }: Pick<Place, 'plan'>, view: View): readonly [number, number] => {
  const corners = cornersOf(plan);
  const mean = (of: 0 | 1) => corners.reduce((sum, corner) => sum + corner[of], 0) / corners.length;
  return [view.x(mean(0)), view.y(mean(1))];
};

export function PlacesLayer({ view }: { view: View }) {
  const { t } = useTranslation();
  const made = usePlacing();
  const step = useDesk((desk) => desk.view.poured);
  const from = useDesk((desk) => desk.plan.pour.placing.from);
  if (!made) return null;
  const done = step === 0 ? made.places.length : Math.min(step, made.places.length);
  // A place of several layers is filled as far as its newest.
  return (
    <g pointerEvents="none" data-places={made.places.length} data-placed={done}>
      {made.places.slice(0, done).map((place, i) => (
        <path
          key={`${place.cast} ${place.before}`}
          d={pathOf(place, view)}
          fill={ink(i === done - 1 && step > 0 ? 'chalk-wash' : 'placed-wash')}
          fillOpacity={place.layers > 1 ? 0.5 : 0.85}
          stroke={ink('placed')}
          strokeWidth={0.8}
        />
      ))}
      <Way made={made.places} view={view} />
      {made.joints.map((joint) => (
        <g
          key={`${joint.element} ${joint.against} ${joint.layers}`}
          transform={`translate(${view.x(joint.at[0])} ${view.y(joint.at[1])})`}
          data-joint-drawn={joint.element}
        >
          <path d="M-9 -9L9 9M-9 9L9 -9" stroke={ink('held')} strokeWidth={3} />
        </g>
      ))}
      {from && (
        <g transform={`translate(${view.x(from[0])} ${view.y(from[1])})`} data-let-off>
          <title>{t('pouring.from')}</title>
          <path d="M-8 6L0 -8L8 6Z" fill={ink('chalk')} stroke={ink('paper')} strokeWidth={1.5} />
        </g>
      )}
    </g>
  );
}

/** Numbers where each thing is begun, and the way from one to the next. */
const Way = memo(function Way({ made, view }: { made: readonly Place[]; view: View }) {
  const turns = made.filter(({ cast, layer }, i) => {
    const before = made[i - 1];
    return layer === 1 && (before === undefined || before.cast !== cast);
  });
  const way = made.filter(({ layer }) => layer === 1).map((place) => middleOf(place, view));
  return (
    <g>
      <path
        d={`M${way.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`}
        fill="none"
        stroke={ink('chalk')}
        strokeWidth={1.4}
        strokeDasharray="2 4"
      />
      {turns.map((place, i) => {
        const [x, y] = middleOf(place, view);
        return (
          <g key={`${place.cast} ${place.before}`} transform={`translate(${x} ${y})`}>
            <circle r={9} fill={ink('chalk')} />
            <text textAnchor="middle" y={4} fill={ink('paper')} style={letters}>
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
});
