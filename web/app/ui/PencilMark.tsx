/** Beside a figure that stands on something nobody has said. */
import { Pencil } from 'lucide-react';
import { useTranslation } from '../messages/useTranslation.ts';

export function PencilMark() {
  const { t } = useTranslation();
  return <Pencil size={11} aria-label={t('pencil.mark')} style={{ display: 'inline', marginLeft: 4 }} />;
}
