/** What to look at next, in one line, always: a hold, an unknown, what is only assumed, the next stage. */
import { isAssumed, type Plan, type Takeoff } from '@cimiento/core';
import { memo } from 'react';
import type { Say } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { type Format, useFormat } from '../ui/format.tsx';
import { cautionText } from '../ui/words.ts';
import type { Stage } from './stages.ts';
import { useDeskStore } from './store.ts';
import { useShownPlan, useTakeoff } from './takeoff.ts';

interface Next {
  readonly text: string;
  readonly stage: Stage;
}

/** The one thing that is worth looking at now. */
function nextOf(plan: Plan, takeoff: Takeoff, t: Say, format: Format): Next {
  if (plan.elements.length === 0) return { text: t('next.draw'), stage: 'setout' };
  if (takeoff.frost.depth === null) return { text: t('next.frost'), stage: 'ground' };
  const hold = takeoff.cautions.find(({ weight }) => weight === 'stop');
  if (hold)
    return {
      text: t('next.hold', { what: cautionText(t, format, hold).title }),
      stage: hold.stage,
    };
  if (takeoff.water.from === null) return { text: t('next.water'), stage: 'water' };
  if (isAssumed(plan, '/ground/logs/0')) return { text: t('next.soil'), stage: 'ground' };
  const count = plan.assumed.length;
  if (count > 0) return { text: t('next.assumed', { count }), stage: 'dig' };
  if (plan.beds.length === 0) return { text: t('next.beds'), stage: 'base' };
  if (plan.water.storm === null) return { text: t('next.night'), stage: 'water' };
  return { text: t('next.print'), stage: 'log' };
}

export function NextLine() {
  const { t } = useTranslation();
  const format = useFormat();
  const { text, stage } = nextOf(useShownPlan(), useTakeoff(), t, format);
  return <Line label={t('next.label')} text={text} stage={stage} />;
}

/** Drawn again only when it says something else. */
const Line = memo(function Line({ label, text, stage }: { label: string; text: string; stage: Stage }) {
  const store = useDeskStore();
  return (
    <button type="button" className="next-line" data-next={stage} onClick={() => store.getState().go(stage)}>
      <strong>{label}</strong> {text}
    </button>
  );
});
