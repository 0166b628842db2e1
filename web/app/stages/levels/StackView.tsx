/**
 * The floor's build-up as an editable drawing beside the staff: layers counted down from the floor
 * or up from formation, with what is left between the floor's underside and the footing.
 */
import { Box, Flex } from '@chakra-ui/react';
import { floorOf } from '@cimiento/core';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { addFloor } from './floors.ts';
import { LayerList } from './LayerList.tsx';
import { StackDrawing, type StackProps } from './StackDrawing.tsx';

export function StackView({ head, element, index, near }: StackProps & { head: React.ReactNode }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const floor = element ? floorOf(plan, element) : (plan.levels.floors[0] ?? null);
  const stack = takeoff.stacks.find((s) => s.floor.id === floor?.id) ?? null;
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('stack.title')}>
      <DrawingHead>
        {head}
        {stack && <Small>{t('stack.of', { name: stack.floor.name })}</Small>}
      </DrawingHead>
      <Flex flex="1" minH={0} direction={{ base: 'column', md: 'row' }}>
        <Flex direction="column" flex="1 1 62%" minW={0} minH={{ base: '280px', md: 0 }}>
          <StackDrawing element={element} index={index} near={near} stack={stack} />
        </Flex>
        <Box
          flex="1 1 38%"
          minW={0}
          overflowY="auto"
          px={3}
          py={1}
          borderLeftWidth={{ md: '1px' }}
          borderStyle="solid"
          borderColor="rule"
          tabIndex={0}
          data-stack-layers
        >
          {stack ? (
            <LayerList stack={stack} />
          ) : (
            <Flex direction="column" gap={2} align="start">
              <Small fontSize="sm">{t('stack.none')}</Small>
              <Button
                onClick={() =>
                  store.getState().edit((d) => {
                    addFloor(d, t('levels.floorName'), t('material.slab'));
                  })
                }
              >
                {t('levels.addFloor')}
              </Button>
            </Flex>
          )}
        </Box>
      </Flex>
    </Flex>
  );
}
