/** What to look at next, in one line, always: a hold, an unknown, what is only assumed, the next stage. */
import { memo } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Stage } from '../state/stages.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useShownPlan, useTakeoff } from '../state/takeoff.ts';
import { useFormat } from '../ui/format.tsx';
import { nextOf } from './stageTable.tsx';

export function NextLine() {
  const { t } = useTranslation();
  const format = useFormat();
  const revision = useDesk((desk) => desk.base.revision);
  const { text, stage } = nextOf({ plan: useShownPlan(), takeoff: useTakeoff(), revision, t, format });
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
