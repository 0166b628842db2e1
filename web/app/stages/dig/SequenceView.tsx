/** The order of digging: a numbered list to drag, a slider to play it, and what is wrong with it. */

import { Box, Flex } from '@chakra-ui/react';
import type { DigSequence } from '@cimiento/core';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import { useEffect } from 'react';
import { DrawingHead } from '../../drawing/DrawingHead.tsx';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useShownPlan } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Player } from '../../ui/Player.tsx';
import { useOrder, useSearched } from './useOrder.ts';

/** One step while playing, ms. */
const BEAT = 900;

export function SequenceView({ head }: { head: React.ReactNode }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const format = useFormat();
  const order = useOrder();
  const share = useSearched();
  const own = useDesk((desk) => desk.plan.dig.order.length > 0);
  return (
    <Flex as="section" direction="column" h="full" minH={0} aria-label={t('order.title')}>
      <DrawingHead>
        {head}
        <Flex gap={1.5} align="center">
          {order?.ok && <Played steps={order.steps.length} />}
          {own && (
            <Button
              size="sm"
              onClick={() =>
                store.getState().edit((d) => {
                  d.dig.order = [];
                })
              }
            >
              {t('order.suggest')}
            </Button>
          )}
        </Flex>
      </DrawingHead>
      <Box
        flex="1"
        minH={0}
        overflowY="auto"
        px={3}
        pb={2}
        tabIndex={0}
        data-order={order ? 'known' : 'asked'}
      >
        {order === null ? (
          <Small fontSize="sm" role="status" data-searching>
            {t('order.working')}
            {share > 0.02 && ` ${format.text(share, 'percent')}`}
          </Small>
        ) : (
          <>
            <Verdict order={order} />
            <List order={order} />
          </>
        )}
      </Box>
    </Flex>
  );
}

function Verdict({ order }: { order: DigSequence }) {
  const { t } = useTranslation();
  const format = useFormat();
  const elements = useDesk((desk) => desk.plan.elements);
  const name = (id: string | null) => elements.find((e) => e.id === id)?.name ?? '';
  if (order.ok)
    return (
      <Small fontSize="sm" pb={1} data-verdict="ok">
        {order.steps.length === 0
          ? t('order.none')
          : t(order.typed ? 'order.typed' : order.exact ? 'order.exact' : 'order.found', {
              track: format.text(order.track, 'length', { decimals: 0 }),
              rehandled: format.text(order.rehandled, 'volume'),
            })}
      </Small>
    );
  const lines = order.typed
    ? order.clashes.map((clash) =>
        t(clash.code === 'blocked' && clash.by ? 'order.blockedBy' : `order.${clash.code}`, {
          name: name(clash.id),
          by: name(clash.by),
        }),
      )
    : order.blocking.length > 0
      ? order.blocking.map((id) => t('order.noneBecause', { name: name(id) }))
      : [t('order.noneOf', { names: order.stuck.map(name).join(', ') })];
  return (
    <Box
      role="alert"
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor="held"
      bg="heldWash"
      p={2}
      mb={1}
      fontSize="sm"
      data-verdict="clash"
    >
      {!order.typed && <strong>{t('order.noOrder')} </strong>}
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
      {!order.typed && <p>{t('order.bridge')}</p>}
    </Box>
  );
}

function List({ order }: { order: DigSequence }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const plan = useShownPlan();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = order.ok
    ? order.steps.map((step) => step.id)
    : [...plan.dig.order.filter((id) => plan.elements.some((e) => e.id === id))];
  const shown = [...ids, ...plan.elements.map((e) => e.id).filter((id) => !ids.includes(id) && !order.ok)];
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ screenReaderInstructions: { draggable: t('order.howToMove') } }}
      onDragEnd={({ active, over }) => {
        if (!over || active.id === over.id) return;
        const moved = arrayMove(shown, shown.indexOf(String(active.id)), shown.indexOf(String(over.id)));
        store.getState().edit((d) => {
          d.dig.order = moved;
        });
      }}
    >
      <SortableContext items={shown} strategy={verticalListSortingStrategy}>
        <Box as="ol" display="grid" gridTemplateColumns="repeat(auto-fill, minmax(360px, 1fr))" columnGap={4}>
          {shown.map((id, i) => (
            <Row key={id} id={id} place={i} order={order} />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}

function Row({ id, place, order }: { id: string; place: number; order: DigSequence }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useShownPlan();
  const played = useDesk((desk) => desk.view.played);
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  const element = plan.elements.find((e) => e.id === id);
  const step = order.ok ? order.steps.find((s) => s.id === id) : undefined;
  const clash = order.ok ? undefined : order.clashes.find((c) => c.id === id);
  const area = plan.site.areas.find((a) => a.id === step?.area);
  if (!element) return null;
  return (
    <Flex
      as="li"
      ref={setNodeRef}
      align="center"
      gap={2}
      minH="36px"
      fontSize="sm"
      borderBottomWidth="1px"
      borderStyle="solid"
      borderColor="rule"
      bg={place === played - 1 ? 'chalkWash' : clash ? 'heldWash' : 'sheet'}
      style={{
        transform: transform ? `translate3d(${transform.x}px, ${transform.y}px, 0)` : undefined,
        transition,
      }}
      data-step={element.name}
    >
      <Button
        look="quiet"
        px={1}
        aria-label={t('order.move', { name: element.name })}
        {...attributes}
        {...listeners}
        style={{ touchAction: 'none', cursor: 'grab' }}
      >
        <GripVertical size={16} aria-hidden />
      </Button>
      <Box as="span" fontFamily="figure" fontWeight={600} fontSize="lg" w="22px" textAlign="right">
        {place + 1}
      </Box>
      <Button look="quiet" px={1} fontWeight={600} onClick={() => store.getState().pick(id)}>
        {element.name}
      </Button>
      <Box as="span" flex="1" color="soft" fontSize="xs">
        {step && t(`order.${step.how}`, { track: format.text(step.track, 'length', { decimals: 0 }) })}
        {step && (area ? ` · ${t('order.onto', { area: area.name })}` : '')}
        {step && step.rehandled > 0.05 && (
          <Box as="strong" color="held">
            {' '}
            {t('order.twice', { volume: format.text(step.rehandled, 'volume') })}
          </Box>
        )}
        {clash && (
          <Box as="strong" color="held">
            {t(`order.short.${clash.code}`)}
          </Box>
        )}
      </Box>
    </Flex>
  );
}

/** Plays the order on the plan, or stops it at a step. */
function Played({ steps }: { steps: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const played = useDesk((desk) => desk.view.played);
  // Back to the whole dig when the list is left.
  useEffect(() => () => store.getState().look({ played: 0 }), [store]);
  return (
    <Player
      at={played}
      steps={steps}
      beat={BEAT}
      label={t('order.scrub')}
      play={t('order.play')}
      pause={t('order.pause')}
      put={(step) => store.getState().look({ played: step })}
    >
      {played === 0 ? t('order.all') : `${Math.min(played, steps)} / ${steps}`}
    </Player>
  );
}
