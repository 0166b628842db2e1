/** In the plan's head: the plan shows how deep it is everywhere. */
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button } from '../../ui/controls.tsx';

export function DepthsButton() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const depths = useDesk((desk) => desk.view.depths);
  return (
    <Button
      size="sm"
      look={depths ? 'main' : 'plain'}
      aria-pressed={depths}
      onClick={() => store.getState().look({ depths: !depths })}
    >
      {t('depths.show')}
    </Button>
  );
}
