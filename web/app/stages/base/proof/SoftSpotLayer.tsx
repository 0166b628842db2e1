/** Soft spots on the plan: dragged by their corners where the base is planned, seen everywhere else. */
import { ink } from '../../../drawing/hatches.tsx';
import { OutlineOnPlan } from '../../../drawing/OutlineOnPlan.tsx';
import type { View } from '../../../drawing/view.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useFormat } from '../../../ui/format.tsx';

interface Props {
  readonly view: View;
  readonly hold: (still: boolean) => void;
  /** Its stage is looked at: spots can be moved. */
  readonly here: boolean;
}

export function SoftSpotLayer({ view, hold, here: movable }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const spots = useDesk((desk) => desk.plan.ground.softSpots);
  const picked = useDesk((desk) => desk.view.area);
  const { edit, look } = store.getState();
  return (
    <g pointerEvents={movable ? undefined : 'none'}>
      {spots.map(({ id, name, points, depth }) => (
        <OutlineOnPlan
          key={id}
          id={id}
          points={points}
          view={view}
          hold={hold}
          movable={movable}
          picked={movable && id === picked}
          label={t('softSpot.mark', { name })}
          text={t('softSpot.onPlan', { name, depth: format.text(depth, 'size') })}
          fill={ink('water-wash')}
          colour="held"
          pick={() => look({ area: id })}
          put={(to, key) =>
            edit((d) => {
              const target = d.ground.softSpots.find((spot) => spot.id === id);
              if (target) target.points = [...to];
            }, key)
          }
          remove={() =>
            edit((d) => {
              d.ground.softSpots = d.ground.softSpots.filter((spot) => spot.id !== id);
            })
          }
        />
      ))}
    </g>
  );
}
