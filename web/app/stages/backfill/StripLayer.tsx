/** What is stripped and reduced on the plan, and what cannot stand between openings. */
import { ink } from '../../drawing/hatches.tsx';
import { OutlineOnPlan } from '../../drawing/OutlineOnPlan.tsx';
import { polygonPath, type View } from '../../drawing/view.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { useIslands } from './useIslands.ts';

interface Props {
  readonly view: View;
  readonly hold: (still: boolean) => void;
  /** Its stage is looked at: outlines can be moved. */
  readonly here: boolean;
}

export function StripLayer({ view, hold, here }: Props) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const strips = useDesk((desk) => desk.plan.site.strips);
  const picked = useDesk((desk) => desk.view.area);
  const { items } = useTakeoff().strips;
  const { edit, look } = store.getState();
  return (
    <g pointerEvents={here ? undefined : 'none'}>
      {here && <Islands view={view} />}
      {strips.map(({ id, name, points, kind }) => (
        <OutlineOnPlan
          key={id}
          id={id}
          points={points}
          view={view}
          hold={hold}
          movable={here}
          picked={here && id === picked}
          label={t('strips.mark', { name })}
          text={
            here
              ? `${name} · ${format.text(items.find(({ stripped }) => stripped.id === id)?.bank ?? 0, 'volume')}`
              : name
          }
          fill={kind === 'island' ? ink('earth-wash') : 'none'}
          colour={kind === 'topsoil' ? 'placed' : 'earth'}
          pick={() => look({ area: id })}
          put={(to, key) =>
            edit((d) => {
              const target = d.site.strips.find((own) => own.id === id);
              if (target) target.points = [...to];
            }, key)
          }
          remove={() =>
            edit((d) => {
              d.site.strips = d.site.strips.filter((own) => own.id !== id);
            })
          }
        />
      ))}
    </g>
  );
}

/** Crossed out: what stands there stands on paper only. */
function Islands({ view }: Pick<Props, 'view'>) {
  const { islands } = useIslands();
  return (
    <g pointerEvents="none" data-islands={islands.length}>
      {islands.map(({ plan }) => (
        <path
          key={plan.join()}
          d={polygonPath(view, plan)}
          fill={ink('held-wash')}
          stroke={ink('held')}
          strokeWidth={1.6}
          strokeDasharray="6 3"
          opacity={0.8}
        />
      ))}
    </g>
  );
}
