/** How the answer to a shot sounds and feels, and how something is handed on. */
import type { Verdict } from '@cimiento/core';

const SOUND = 'cimiento:sound';
export const soundsOn = (): boolean => {
  try {
    return localStorage.getItem(SOUND) === 'on';
  } catch {
    return false;
  }
};
export const setSounds = (on: boolean): void => {
  try {
    localStorage.setItem(SOUND, on ? 'on' : 'off');
  } catch {
    // It stays as it is for this page.
  }
};

/** Hz and how long, s, and how the phone shakes, ms: high for dig, low for make up, two for good. */
const ANSWERS: Readonly<Record<Verdict['word'], { tones: readonly number[]; shake: readonly number[] }>> = {
  good: { tones: [660, 880], shake: [40, 60, 40] },
  trim: { tones: [660], shake: [120] },
  dig: { tones: [880, 880, 880], shake: [200, 80, 200, 80, 200] },
  makeUp: { tones: [330, 220], shake: [500] },
};

let audio: AudioContext | null = null;
/** Sounds and shakes as answer to a shot, where somebody wished it. */
export function answerAloud({ word }: Verdict): void {
  if (!soundsOn()) return;
  const { tones, shake } = ANSWERS[word];
  navigator.vibrate?.([...shake]);
  try {
    audio ??= new AudioContext();
    tones.forEach((tone, i) => {
      const from = audio!.currentTime + i * 0.14;
      const wave = new OscillatorNode(audio!, { frequency: tone });
      wave.connect(audio!.destination);
      wave.start(from);
      wave.stop(from + 0.11);
    });
  } catch {
    // No sound here.
  }
}

/** Hands something on by the phone's own sharing; where there is none it is copied. @returns how */
export async function handOn(what: {
  title: string;
  text: string;
  file?: File;
}): Promise<'shared' | 'copied' | 'left'> {
  const { title, text, file } = what;
  const data: ShareData =
    file && navigator.canShare?.({ files: [file] }) ? { title, text, files: [file] } : { title, text };
  if (navigator.share)
    return navigator.share(data).then(
      () => 'shared',
      () => 'left',
    );
  return navigator.clipboard.writeText(text).then(
    () => 'copied',
    () => 'left',
  );
}
