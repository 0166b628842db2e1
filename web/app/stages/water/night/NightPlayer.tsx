/** Plays the night: on the section water stands as high as it does at the hour it is at. */
import { levelAt, localAfter } from '@cimiento/core';
import { useEffect } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Player } from '../../../ui/Player.tsx';
import { clock, STEPS, useHole } from './use.ts';

/** How long a quarter of an hour is shown while it plays, ms. */
const BEAT = 120;

export function NightPlayer() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const zone = useDesk((desk) => desk.plan.water.zone);
  const step = useDesk((desk) => desk.view.hour);
  const { night } = useHole();
  useEffect(() => {
    const flood =
      night && step > 0
        ? Object.fromEntries(
            night.holes.flatMap(({ elements, course, floor }) => {
              const level = levelAt(course.samples, step / STEPS);
              return elements.map((id) => [id, Math.max(level, floor)] as const);
            }),
          )
        : null;
    store.getState().look({ flood });
  }, [night, step, store]);
  // Left, the ground is as dry as it was.
  useEffect(() => () => store.getState().look({ flood: null }), [store]);
  if (!night) return null;
  return (
    <Player
      at={step}
      steps={Math.round(night.hours * STEPS)}
      beat={BEAT}
      label={t('rain.scrub')}
      play={t('rain.play')}
      pause={t('rain.pause')}
      put={(hour) => store.getState().look({ hour })}
    >
      {step === 0 ? t('rain.whole') : clock(localAfter(night.start, step / STEPS, zone))}
    </Player>
  );
}
