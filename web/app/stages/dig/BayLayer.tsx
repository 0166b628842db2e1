/** A bay under an old wall as it is cut: drawn on the section when a run has bays. */
import { type BayCut, segmentsOf } from '@cimiento/core';
import { ink } from '../../drawing/hatches.tsx';
import { closedPath, type Scale } from '../../drawing/strata.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useBays } from '../../state/bays.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';

const LETTERS = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;

/** A bay under an old wall: what is dug of it, the pit that lets people in, the level inside. */
/** The bay a place on the picked run lies in, and how far it is; null: it lies in none. */
function useBayAt([px, py]: readonly [number, number]) {
  const picked = useDesk((desk) => desk.picked);
  const info = useTakeoff().elements.find(({ id }) => id === picked);
  const states = useBays(picked ?? '');
  if (!info?.bays || info.element.kind !== 'underpin') return null;
  let before = 0;
  let best = { off: Infinity, along: 0 };
  for (const run of segmentsOf(info.element)) {
    const along = Math.max(
      0,
      Math.min(run.length, (px - run.from[0]) * run.ux + (py - run.from[1]) * run.uy),
    );
    const off = Math.hypot(px - run.from[0] - run.ux * along, py - run.from[1] - run.uy * along);
    if (off < best.off) best = { off, along: before + along };
    before += run.length;
  }
  const n = Math.min(info.bays.count, Math.floor(best.along / info.bays.length) + 1);
  return { n, state: states.get(n) ?? ('toCome' as const) };
}

export function BayOnSection({
  bay,
  scale,
  end,
  at,
}: {
  bay: BayCut;
  scale: Scale;
  end: number;
  /** Where it is cut, on plan. */
  at: readonly [number, number];
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const cut = useBayAt(at);
  const { wall, pit, dug, inside } = bay;
  const { x, y } = scale;
  return (
    <g data-bay-cut={cut?.state ?? ''} pointerEvents="none">
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
        {cut
          ? `${t('underpin.bayNumber', { n: cut.n })}: ${t(`underpin.state.${cut.state}`)}`
          : t('underpin.pit')}
      </text>
    </g>
  );
}
