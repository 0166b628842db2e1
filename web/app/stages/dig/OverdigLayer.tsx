/** Where the soil of one cause of over-dig lies: hatched on the plan and on the section. */
import { type CauseCut, type FencePost, flatsOf, profile, type Section, type Solid } from '@cimiento/core';
import { useId } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { PlanBar } from '../../drawing/PlanBar.tsx';
import { closedPath, groundBetween, type Scale } from '../../drawing/strata.ts';
import { polygonPath, type View } from '../../drawing/view.ts';
import { coded } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useOverdigShape } from '../../state/ask/whatif.ts';
import { type Hatched, useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';

/** The dig with and without what is hatched; null while it is worked out, or of soft ground. */
function useCut(cause: Hatched): CauseCut | null {
  const plan = useShownPlan();
  return useOverdigShape(cause === 'soft' ? null : plan, cause === 'soft' ? 'neat' : cause);
}

/** What lies in one drawn area and not in another, hatched. */
function Between({ inside, outside, cause }: { inside: string; outside: string; cause: Hatched }) {
  const id = useId();
  return (
    <g pointerEvents="none" data-hatched={cause} data-empty={inside === '' || undefined}>
      <defs>
        <pattern id={`${id}-lines`} width={7} height={7} patternUnits="userSpaceOnUse">
          <path d="M-1 8L8 -1M-1 1L1 -1M6 8L8 6" stroke={ink('held')} strokeWidth={1.7} />
        </pattern>
        <mask id={`${id}-between`}>
          <path d={inside} fill="#fff" stroke="#fff" strokeWidth={0.8} />
          {/* Its pieces are closed up, so that no line shows between them. */}
          <path d={outside} fill="#000" stroke="#000" strokeWidth={0.8} />
        </mask>
      </defs>
      <path d={inside} fill={`url(#${id}-lines)`} mask={`url(#${id}-between)`} />
      <path d={inside} fill={ink('held')} opacity={0.14} mask={`url(#${id}-between)`} />
    </g>
  );
}

export function OverdigOnPlan({ view }: { view: View }) {
  const cause = useDesk((desk) => desk.view.hatched);
  return cause && <CauseOnPlan view={view} cause={cause} />;
}

function CauseOnPlan({ view, cause }: { view: View; cause: Hatched }) {
  const cut = useCut(cause);
  const { soft } = useTakeoff();
  const join = (polygons: readonly (readonly number[])[]) =>
    polygons.map((polygon) => polygonPath(view, polygon)).join('');
  if (cause === 'soft')
    return (
      <Between
        cause={cause}
        inside={join(soft.flatMap(({ pieces }) => pieces.map((piece) => piece.area)))}
        outside=""
      />
    );
  if (!cut) return null;
  const open = (solid: Solid | null) => solid?.openings.flat() ?? [];
  // Bottoms dug lower lie under all of the bottom: seen from above there is little between.
  return (
    <Between
      cause={cause}
      inside={join(cause === 'low' ? flatsOf(cut.after) : open(cut.after))}
      outside={cause === 'low' ? '' : join(open(cut.before))}
    />
  );
}

export function OverdigOnSection({
  section: { x, y, dx, dy, half, posts, soft },
  scale,
  cause,
}: {
  section: Section;
  scale: Scale;
  cause: Hatched;
}) {
  const cut = useCut(cause);
  if (cause === 'soft')
    return (
      <Between cause={cause} inside={soft.map(({ shape }) => closedPath(shape, scale)).join('')} outside="" />
    );
  if (!cut) return null;
  const voids = (solid: Solid | null) =>
    solid === null
      ? ''
      : profile(solid, x, y, dx, dy, [-half, half])
          .map(({ s0, s1, z0, z1 }) => voidPath(posts, s0, s1, z0, z1, scale))
          .join('');
  return <Between cause={cause} inside={voids(cut.after)} outside={voids(cut.before)} />;
}

const voidPath = (
  posts: readonly FencePost[],
  s0: number,
  s1: number,
  z0: number,
  z1: number,
  scale: Scale,
): string => closedPath([...groundBetween(posts, s0, s1), s1, z1, s0, z0], scale);

/** Says what is hatched, how much it is, and how to be rid of it. */
export function HatchBar() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const cause = useDesk((desk) => desk.view.hatched);
  const { overdig } = useTakeoff();
  if (cause === null) return null;
  const name = t(coded(cause === 'neat' ? 'work.neat' : `work.overdig.${cause}`));
  return (
    <PlanBar
      text={t('said.hatched', { name, value: format.text(overdig[cause], 'volume') })}
      done={t('said.unhatch')}
      onDone={() => store.getState().look({ hatched: null })}
      bg="sheet"
      edge="held"
    />
  );
}
