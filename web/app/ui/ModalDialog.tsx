/** The dialog itself, fetched when the first one opens. */
import { Dialog, Flex, Portal } from '@chakra-ui/react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button, Heading } from './controls.tsx';

export interface ModalProps {
  readonly open: boolean;
  readonly title: string;
  /** Absent when the dialog must be answered. */
  readonly onClose?: () => void;
  readonly width?: string;
  readonly children: React.ReactNode;
}

export function ModalDialog({ open, title, onClose, width = '46rem', children }: ModalProps) {
  const { t } = useTranslation();
  const closable = onClose !== undefined;
  return (
    <Dialog.Root
      open={open}
      role={closable ? 'dialog' : 'alertdialog'}
      closeOnEscape={closable}
      closeOnInteractOutside={closable}
      onOpenChange={(change) => !change.open && onClose?.()}
      lazyMount
      unmountOnExit
    >
      <Portal>
        <Dialog.Backdrop position="fixed" inset={0} bg="ink" opacity={0.35} zIndex={20} />
        <Dialog.Positioner
          position="fixed"
          inset={0}
          display="flex"
          alignItems="center"
          justifyContent="center"
          p={4}
          zIndex={21}
        >
          <Dialog.Content
            bg="sheet"
            borderWidth="2px"
            borderStyle="solid"
            borderColor={closable ? 'ink' : 'held'}
            w="full"
            maxW={width}
            maxH="86vh"
            display="flex"
            flexDirection="column"
            outline="none"
            data-modal
          >
            <Flex
              justify="space-between"
              align="center"
              gap={4}
              px={5}
              py={3}
              borderBottomWidth="1px"
              borderStyle="solid"
              borderColor="rule"
            >
              <Dialog.Title asChild>
                <Heading fontSize="xl">{title}</Heading>
              </Dialog.Title>
              {closable && (
                <Dialog.CloseTrigger asChild>
                  <Button>{t('close')}</Button>
                </Dialog.CloseTrigger>
              )}
            </Flex>
            <Flex direction="column" overflowY="auto" px={5} py={3} tabIndex={0}>
              {children}
            </Flex>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
