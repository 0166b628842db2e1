/** Everything that is only assumed, one press from being settled. */
import { Box, Flex } from '@chakra-ui/react';
import { useTranslation } from '../messages/useTranslation.ts';
import { STAGES, type Stage } from '../state/stages.ts';
import { settle, useDesk, useDeskStore } from '../state/store.ts';
import { Button, Small } from '../ui/controls.tsx';
import { useFormat } from '../ui/format.tsx';
import { Modal } from '../ui/Modal.tsx';
import { unsaidText } from '../ui/unsaid.ts';

/** The stage where it is typed: the first part of its pointer, mostly. */
function stageOf(pointer: string): Stage {
  const first = pointer.split('/')[1] ?? '';
  if (first === 'spoil' || first === 'elements') return 'dig';
  return STAGES.find((stage) => stage === first) ?? 'dig';
}

export function UnsaidList({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit, go } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  return (
    <Modal open title={t('pencil.title')} onClose={onClose}>
      <Small>{t('pencil.how')}</Small>
      <Box as="ul">
        {plan.assumed.map((pointer) => (
          <Flex
            as="li"
            key={pointer}
            justify="space-between"
            align="center"
            gap={3}
            py={1.5}
            borderBottomWidth="1px"
            borderStyle="solid"
            borderColor="rule"
            data-assumed={pointer}
          >
            <span>{unsaidText(t, format, plan, pointer)}</span>
            <Flex gap={1.5}>
              <Button size="sm" onClick={() => edit((d) => settle(d, pointer))}>
                {t('pencil.settle')}
              </Button>
              <Button
                size="sm"
                look="quiet"
                onClick={() => {
                  go(stageOf(pointer));
                  onClose();
                }}
              >
                {t('pencil.change')}
              </Button>
            </Flex>
          </Flex>
        ))}
        {plan.assumed.length === 0 && <li>{t('pencil.none')}</li>}
      </Box>
    </Modal>
  );
}
