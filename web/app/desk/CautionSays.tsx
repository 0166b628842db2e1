/** What a caution says once it is opened. */
import type { Caution } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { useFormat } from '../ui/format.tsx';
import { cautionSays } from '../ui/words.ts';

export function CautionSays({ caution }: { caution: Caution }) {
  const { t } = useTranslation();
  const format = useFormat();
  return <p>{cautionSays(t, format, caution)}</p>;
}
