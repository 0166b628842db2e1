/** What one asks standing in the hole, on a phone's first screen: how deep, how wide, how the sides stand, what is laid next. */
import { Box, Flex } from '@chakra-ui/react';
import { type ElementTakeoff, nextLaid, pencilledOf } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { useJobId } from '../state/jobId.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { useLookedAt, useShownPlan, useTakeoff } from '../state/takeoff.ts';
import { Button, Select } from '../ui/controls.tsx';
import { type Format, useFormat } from '../ui/format.tsx';
import { PencilMark } from '../ui/PencilMark.tsx';
import { bottomText, depthText, layerName, sidesText } from '../ui/words.ts';

export function InHole() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const jobId = useJobId();
  const elements = useDesk((desk) => desk.plan.elements);
  const takeoff = useTakeoff();
  const plan = useShownPlan();
  const info = useLookedAt();
  if (!info || elements.length === 0) return null;
  const held = takeoff.cautions.some(
    ({ code, weight, elements: of }) =>
      weight === 'stop' && (code === 'unsupported' || code === 'pitsUnsupported') && of.includes(info.id),
  );
  const next = nextText(info, t, format);
  const stepped = info.steps !== null;
  const pencil = pencilledOf(plan, info);
  return (
    <Box
      as="section"
      aria-label={t('hole.title')}
      data-in-hole={info.id}
      bg="sheet"
      borderBottomWidth="1px"
      borderStyle="solid"
      borderColor="edge"
    >
      <Box display="grid" gridTemplateColumns="1fr 1fr">
        <Answer
          name={t(stepped ? 'hole.deepest' : 'hole.fromString')}
          value={depthText(format, info.fromString)}
          sub={t('hole.formation', { level: format.text(info.formation, 'level') })}
          id="depth"
          pencil={pencil.depth}
        />
        <Answer
          name={t('dig.bottomWidth')}
          value={bottomText(info, format)}
          sub={t('dig.passes', {
            count: info.width.passes,
            bucket: format.text(info.width.bucket, 'size'),
          })}
          id="width"
          pencil={pencil.width}
        />
        <Answer
          name={t('hole.sides')}
          value={sidesText(info, t, format)}
          sub={held ? t('hole.stayOut') : t('hole.high', { height: format.text(info.depth, 'length') })}
          id="sides"
          pencil={pencil.sides}
          alarming={held}
        />
        <Answer name={next.name} value={next.value} sub={next.sub} id="next" pencil={false} />
      </Box>
      <Flex px={2} pb={1.5} gap={2}>
        <Button asChild look="main" flex="none">
          <a href={`/hole?job=${jobId}&at=${info.id}`} data-into-hole>
            {t('hole.title')}
          </a>
        </Button>
        <Select
          aria-label={t('hole.which')}
          value={info.id}
          onChange={(event) => store.getState().pick(event.target.value)}
          fontWeight={600}
        >
          {elements.map((element) => (
            <option key={element.id} value={element.id}>
              {t(`kinds.title.${element.kind}`, { name: element.name })}
            </option>
          ))}
        </Select>
      </Flex>
    </Box>
  );
}

/** The layer that is laid next: how thick, and how deep its top is from the string. */
function nextText(info: ElementTakeoff, t: Say, format: Format) {
  const next = nextLaid(info, info.cards);
  const size = (v: number) => format.text(v, 'size');
  const sub = t('hole.top', { depth: format.text(info.string.level - next.top, 'length') });
  if (next.what === 'footing') return { name: t('hole.next'), value: t(`built.${info.built}`), sub };
  if (next.what === 'layer')
    return {
      name: t('hole.nextIs', { name: layerName(t, next.layer.layer) }),
      value: size(next.layer.layer.thickness),
      sub,
    };
  const { card } = next;
  return {
    name: t('hole.nextIs', { name: layerName(t, card.layer) }),
    value: size(card.thickness),
    sub: `${t('hole.lift', { n: card.lift, count: card.count, loose: size(card.loose) })} · ${sub}`,
  };
}

function Answer({
  id,
  name,
  value,
  sub,
  pencil,
  alarming = false,
}: {
  id: string;
  name: string;
  value: string;
  sub: string;
  /** It stands on something nobody has said. */
  pencil: boolean;
  alarming?: boolean;
}) {
  return (
    <Box
      data-answer={id}
      data-pencil={pencil || undefined}
      px={2.5}
      py={1.5}
      minW={0}
      borderRightWidth="1px"
      borderBottomWidth="1px"
      borderStyle="solid"
      borderColor="rule"
      bg={alarming ? 'heldWash' : undefined}
      color={alarming ? 'held' : undefined}
    >
      <Box fontSize="xs" color={alarming ? 'held' : 'soft'} truncate>
        {name}
        {pencil && <PencilMark />}
      </Box>
      <Box fontFamily="figure" fontWeight={600} fontSize="28px" lineHeight={1.1} whiteSpace="nowrap">
        {value}
      </Box>
      <Box fontSize="xs" lineHeight={1.25}>
        {sub}
      </Box>
    </Box>
  );
}
