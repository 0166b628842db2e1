/** A bay under an old wall as it is cut: drawn on the section when a run has bays. */
import type { BayCut } from '@cimiento/core';
import { ink } from '../../drawing/hatches.tsx';
import { closedPath, type Scale } from '../../drawing/strata.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useFormat } from '../../ui/format.tsx';

const LETTERS = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

/** A bay under an old wall: what is dug of it, the pit that lets people in, the level inside. */
export function BayOnSection({ bay, scale, end }: { bay: BayCut; scale: Scale; end: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { wall, pit, dug, inside } = bay;
  const { x, y } = scale;
  return (
    <g data-bay-cut pointerEvents="none">
      <path
        d={closedPath(bay.outline, scale)}
        fill={ink('paper')}
        stroke={ink('earth')}
        strokeWidth={2.2}
        strokeLinejoin="round"
      />
      <path d={`M${x(wall[1])} ${y(inside)}H${end}`} stroke={ink('ink')} strokeWidth={1.4} />
      <text
        x={x(pit) + 6}
        // Under its line: over it stands how deep it is.
        y={y(inside) + 14}
        fill={ink('ink')}
        stroke={ink('paper')}
        strokeWidth={3}
        paintOrder="stroke"
        style={LETTERS}
      >
        {t('underpin.insideAt', { level: format.text(inside, 'level') })}
      </text>
      <text
        x={(x(wall[1]) + x(pit)) / 2}
        y={y((inside + dug) / 2)}
        textAnchor="middle"
        fill={ink('ink')}
        style={LETTERS}
      >
        {t('underpin.pit')}
      </text>
    </g>
  );
}
