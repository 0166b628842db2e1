/** On the plan: where to test the lowest lift of what is picked that is laid and not released yet. */
import { mayCover, testPlaces } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../../drawing/hatches.tsx';
import { useLabels } from '../../../drawing/labels.tsx';
import type { View } from '../../../drawing/view.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';

const words = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 12 } as const;

export function TestPlaces({ view }: { view: View }) {
  const { t } = useTranslation();
  const picked = useDesk((desk) => desk.picked);
  const info = useTakeoff().elements.find((e) => e.id === picked);
  const card = info?.cards.find((one) => !mayCover(one.state) && one.wanted > 0);
  const places = useMemo(
    () => (info && card ? testPlaces(info.bottoms, card.wanted, card.lift) : []),
    [info, card],
  );
  const marks = useMemo(
    () => places.map(([x, y]) => ({ x: view.x(x), y: view.y(y) - 1, width: 18, height: 18 })),
    [places, view],
  );
  useLabels('tests', undefined, marks);
  if (!card) return null;
  return (
    <g pointerEvents="none" aria-label={t('proof.places', { lift: card.lift })} data-test-places={card.lift}>
      {places.map(([x, y], i) => (
        <g key={`${x},${y}`} transform={`translate(${view.x(x)} ${view.y(y)})`}>
          <path d="M0 -8L8 6H-8Z" fill={ink('sheet')} stroke={ink('held')} strokeWidth={1.6} />
          <text textAnchor="middle" y={4} fill={ink('held')} style={words}>
            {i + 1}
          </text>
        </g>
      ))}
    </g>
  );
}
