/** The lifts under what is picked, the uppermost first, each with what was logged of it and what is next. */
import { Box, Flex } from '@chakra-ui/react';
import { type LiftCard, labOf, maximumBy, type Takeoff } from '@cimiento/core';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useJobId } from '../../../state/jobId.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { SheetLink } from '../../../ui/SheetLink.tsx';
import { layerName } from '../../../ui/words.ts';
import { Fact, Panel } from '../../fields.tsx';
import { WaitsToBeSeen } from '../../WaitsToBeSeen.tsx';
import { LIFT_COLOURS } from '../liftColours.ts';
import { LogLaid, LogRelease, LogRework } from './LiftLogs.tsx';
import { LogTest } from './LogTest.tsx';
import { Tested } from './Tested.tsx';

type Live = Takeoff['elements'][number];

export function LiftCards({ index }: { index: number }) {
  const { t } = useTranslation();
  const info = useTakeoff().elements[index];
  const jobId = useJobId();
  const [open, setOpen] = useState<string | null>(null);
  if (!info?.live || !info.bed) return null;
  const key = ({ layer, lift }: LiftCard) => `${layer.id}:${lift}`;
  return (
    <Panel
      fold="shut"
      title={t('proof.lifts', { name: info.element.name })}
      aside={t('proof.liftsAside', { count: info.cards.length })}
    >
      {info.cards.length > 0 && (
        <Button asChild>
          <SheetLink href={`/jobs/${jobId}/base-sheet.pdf`} icon={<Printer size={15} aria-hidden />}>
            {t('baseSheet.print')}
          </SheetLink>
        </Button>
      )}
      <WaitsToBeSeen of={({ kind, element }) => kind === 'bottom' && element === info.id} />
      {info.cards.length === 0 && <Small>{t('proof.noLifts')}</Small>}
      {info.cards.toReversed().map((card) => (
        <Card
          key={key(card)}
          card={card}
          info={info}
          open={open === key(card)}
          toggle={() => setOpen(open === key(card) ? null : key(card))}
        />
      ))}
    </Panel>
  );
}

function Card({
  card,
  info,
  open,
  toggle,
}: {
  card: LiftCard;
  info: Live;
  open: boolean;
  toggle: () => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { state, tests, wanted } = card;
  const passed = tests.filter((test) => test.passes).length;
  return (
    <Box
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor={LIFT_COLOURS[state]}
      pl={2}
      data-lift={`${card.layer.id}:${card.lift}`}
      data-state={state}
    >
      <Flex justify="space-between" align="baseline" gap={2}>
        <Button
          look="quiet"
          px={0}
          aria-expanded={open}
          onClick={toggle}
          whiteSpace="normal"
          textAlign="left"
        >
          {t('proof.lift', { layer: layerName(t, card.layer), lift: card.lift, count: card.count })}
        </Button>
        <Box
          as="strong"
          fontSize="sm"
          color={state === 'failed' ? 'held' : 'ink'}
          textAlign="right"
          flexShrink={0}
        >
          {t(`proof.state.${state}`)}
        </Box>
      </Flex>
      <Small>
        {t('proof.topAt', {
          level: format.text(card.top, 'level'),
          fromString: format.text(info.string.level - card.top, 'length'),
          loose: format.text(card.loose, 'size'),
        })}
        {wanted > 0 && ` · ${t('proof.tests', { passed, wanted })}`}
      </Small>
      {open && <Opened card={card} />}
    </Box>
  );
}

function Opened({ card }: { card: LiftCard }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { facts } = useTakeoff();
  const lab = labOf(facts, card.bed, card.layer.id);
  const { state, tests, water, release, waits } = card;
  return (
    <Flex direction="column" gap={2} py={1.5}>
      {waits && state === 'toCome' && <Small color="held">{t('proof.waitsBelow')}</Small>}
      {water !== null && (
        <Fact
          label={t(water >= 0 ? 'proof.water' : 'proof.dry')}
          value={format.text(Math.abs(water), 'weighing', { decimals: 0 })}
        />
      )}
      {tests.map((test) => (
        <Tested key={test.record.id} test={test} />
      ))}
      {release?.value && (
        <Small>
          {[t('proof.releasedBy', { who: release.value.who }), release.value.reason]
            .filter(Boolean)
            .join(': ')}
        </Small>
      )}
      {state === 'toCome' ? (
        <LogLaid card={card} />
      ) : (
        <>
          <LogTest
            card={card}
            place={`${card.element}/${card.layer.id}/${card.lift}`}
            maximum={maximumBy(lab, card.layer)}
            optimum={lab?.ok ? lab.optimum : null}
          />
          {(state === 'failed' || state === 'placed') && <LogRework card={card} />}
          {state !== 'released' && state !== 'overridden' && <LogRelease card={card} />}
        </>
      )}
    </Flex>
  );
}
