/** The list of keys, and finding a stage or an element by name. */
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { keyOf, STAGES } from '../state/stages.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { Button, Input } from '../ui/controls.tsx';
import { Modal } from '../ui/Modal.tsx';
import { setSingleKeys, useSingleKeys } from '../ui/singleKeys.ts';

export function KeysDialog({ what, onClose }: { what: 'keys' | 'find'; onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Modal open title={t(what === 'find' ? 'keys.find' : 'bar.keys')} onClose={onClose} width="28rem">
      {what === 'find' ? <Find onDone={onClose} /> : <KeyList />}
    </Modal>
  );
}

function KeyList() {
  const { t } = useTranslation();
  const keys = [
    `1–${keyOf(STAGES.at(-1)!)}`,
    '/',
    '?',
    'Ctrl Z',
    'Ctrl Y',
    '↑ ↓',
    'Enter',
    'Ctrl Enter',
    'Esc',
    '← → ↑ ↓',
    'Delete',
    '+ − F P',
  ];
  const names = [
    'stages',
    'find',
    'keys',
    'undo',
    'redo',
    'nudge',
    'next',
    'nextStage',
    'leave',
    'move',
    'remove',
    'zoom',
  ] as const;
  const single = useSingleKeys();
  return (
    <>
      <Box as="dl" display="grid" gridTemplateColumns="auto 1fr" columnGap={4} rowGap={1} fontSize="sm">
        {names.map((name, i) => (
          <Box key={name} display="contents">
            <dt>
              <kbd>{keys[i]}</kbd>
            </dt>
            <dd>{t(`keys.${name}`)}</dd>
          </Box>
        ))}
      </Box>
      <label>
        <Box display="flex" gap={2} mt={3} minH="44px" alignItems="center">
          <input
            type="checkbox"
            data-single-keys
            checked={single}
            onChange={(event) => setSingleKeys(event.target.checked)}
          />
          {t('keys.single')}
        </Box>
      </label>
    </>
  );
}

/** Finds stages and elements by name. */
function Find({ onDone }: { onDone: () => void }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const [text, setText] = useState('');
  const found = [
    ...plan.elements.map((e) => ({
      key: e.id,
      name: e.name,
      go: () => {
        store.getState().pick(e.id);
        store.getState().go('dig');
      },
    })),
    ...STAGES.map((stage) => ({
      key: stage,
      name: t(`stage.${stage}`),
      go: () => store.getState().go(stage),
    })),
  ].filter((entry) => entry.name.toLowerCase().includes(text.trim().toLowerCase()));
  const take = (entry: (typeof found)[number] | undefined) => {
    entry?.go();
    if (entry) onDone();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        take(found[0]);
      }}
    >
      <Input
        aria-label={t('keys.find')}
        value={text}
        onChange={(event) => setText(event.target.value)}
        autoComplete="off"
      />
      <Box as="ul" mt={2} maxH="14rem" overflowY="auto">
        {found.slice(0, 12).map((entry) => (
          <li key={entry.key}>
            <Button type="button" look="quiet" w="full" justifyContent="start" onClick={() => take(entry)}>
              {entry.name}
            </Button>
          </li>
        ))}
        {found.length === 0 && <li>{t('keys.nothing')}</li>}
      </Box>
    </form>
  );
}
