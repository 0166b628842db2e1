/** Filling what is picked: what stops it, which lift comes next, its sides, and every lift with what was logged of it. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import type { ElementFill, FillCard, SideFill } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { sideText, stopText, tampingText } from '../../ui/fillWords.ts';
import { useFormat } from '../../ui/format.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { LIFT_COLOURS } from '../base/liftColours.ts';
import { LogLaid, LogRelease, LogRework } from '../base/proof/LiftLogs.tsx';
import { LogTest } from '../base/proof/LogTest.tsx';
import { Tested } from '../base/proof/Tested.tsx';
import { Fact, Panel } from '../fields.tsx';
import { usePickedFill } from './useFilling.ts';

export function FillPanel() {
  const { t } = useTranslation();
  const picked = useDesk((desk) => desk.plan.elements.find(({ id }) => id === desk.picked));
  const fill = usePickedFill();
  if (!picked) return <Small fontSize="sm">{t('backfill.pick')}</Small>;
  return (
    <Panel title={t('backfill.fill', { name: picked.name })}>
      {fill ? <Filled fill={fill} /> : <Small fontSize="sm">{t('backfill.nothing')}</Small>}
    </Panel>
  );
}

function Filled({ fill }: { fill: ElementFill }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { gate, next, apart, most, sides } = fill;
  const unasked = sides.some(({ cards }) => cards.some((card) => card.unasked));
  return (
    <Stack gap={2}>
      {gate.map((stop) => (
        <Stopped key={`${stop.code}${stop.hold?.hold ?? ''}`}>{stopText(t, format, stop)}</Stopped>
      ))}
      {unasked && <Stopped>{t('backfill.unasked')}</Stopped>}
      {next ? <Next fill={fill} card={next} /> : <Small fontSize="sm">{t('backfill.done')}</Small>}
      {most !== null && apart !== null && apart > 0 && (
        <Small color={apart > most + 1e-6 ? 'held' : 'soft'} data-apart>
          {t('backfill.apart', { apart: format.text(apart, 'size'), most: format.text(most, 'size') })}
        </Small>
      )}
      {sides.map((side) => (
        <SideOf key={side.side} fill={fill} side={side} />
      ))}
    </Stack>
  );
}

function Stopped({ children }: { children: React.ReactNode }) {
  return (
    <Box borderLeftWidth="4px" borderStyle="solid" borderColor="held" pl={2} fontSize="sm" data-fill-stop>
      {children}
    </Box>
  );
}

function Next({ fill, card }: { fill: ElementFill; card: FillCard }) {
  const { t } = useTranslation();
  const format = useFormat();
  const own = card.stops.filter(({ code }) => code !== 'hold' && code !== 'cure' && code !== 'notCast');
  return (
    <Stack gap={1} data-fill-next={card.name}>
      <Box fontWeight={600}>
        {t('backfill.next', {
          side: sideText(t, card),
          lift: card.lift,
          count: card.count,
        })}
      </Box>
      <Small fontSize="sm">
        {t(`backfill.stages.${card.part}`)} ·{' '}
        {t('backfill.nextNote', {
          thickness: format.text(card.thickness, 'size'),
          loose: format.text(card.loose, 'size'),
          fromString: format.text(fill.info.string.level - card.top, 'length'),
        })}
      </Small>
      {/* With what is asked once it may be laid. */}
      {card.part !== 'topsoil' && fill.gate.length === 0 && <Small>{tampingText(t, format, card)}</Small>}
      {card.lifts.tampings.some(({ unsuited }) => unsuited) &&
        card.part !== 'topsoil' &&
        card.part !== 'foot' && <Small color="held">{t('backfill.unsuited')}</Small>}
      {own.map((stop) => (
        <Stopped key={stop.code}>{stopText(t, format, stop)}</Stopped>
      ))}
      <LogFilled card={card} />
    </Stack>
  );
}

/** Says that a lift was laid; before it was let, only with a name and a reason. */
function LogFilled({ card }: { card: FillCard }) {
  const { t } = useTranslation();
  const [despite, setDespite] = useState(false);
  const [who, setWho] = useState('');
  const [why, setWhy] = useState('');
  const stopped = card.stops.length > 0;
  if (!stopped) return <LogLaid card={card} />;
  if (!despite)
    return (
      <Button look="held" size="sm" onClick={() => setDespite(true)}>
        {t('backfill.despite')}
      </Button>
    );
  return (
    <Stack gap={1.5}>
      <TextField
        label={t('backfill.despiteWho')}
        value={who}
        maxLength={80}
        onChange={({ target }) => setWho(target.value)}
      />
      <TextField
        label={t('backfill.despiteWhy')}
        value={why}
        maxLength={400}
        onChange={({ target }) => setWhy(target.value)}
      />
      <LogLaid card={card} despite={{ who: who.trim(), reason: why.trim() }} />
    </Stack>
  );
}

function SideOf({ fill, side }: { fill: ElementFill; side: SideFill }) {
  const { t } = useTranslation();
  const format = useFormat();
  const [open, setOpen] = useState<string | null>(null);
  const { cards, stages, reached } = side;
  const laid = cards.filter((card) => card.laid !== null).length;
  return (
    <details data-fill-side={side.side}>
      <Box as="summary" cursor="pointer" fontSize="sm" py={1}>
        <strong>{sideText(t, side)}</strong>{' '}
        {t('backfill.sideNow', { laid, count: cards.length, level: format.text(reached, 'level') })}
      </Box>
      <Stack gap={1} py={1}>
        {stages.map(({ stage, volume }) => (
          <Fact key={stage} label={t(`backfill.stages.${stage}`)} value={format.text(volume, 'volume')} />
        ))}
        {cards.toReversed().map((card) => (
          <Card
            key={card.name}
            card={card}
            fill={fill}
            open={open === card.name}
            toggle={() => setOpen(open === card.name ? null : card.name)}
          />
        ))}
      </Stack>
    </details>
  );
}

interface CardProps {
  readonly card: FillCard;
  readonly fill: ElementFill;
  readonly open: boolean;
  readonly toggle: () => void;
}

function Card({ card, fill, open, toggle }: CardProps) {
  const { t } = useTranslation();
  const format = useFormat();
  const maximum = useDesk((desk) => desk.plan.backfill.target?.maximum ?? null);
  const { state, tests, wanted, water, release, laid } = card;
  const passed = tests.filter((test) => test.passes).length;
  return (
    <Box
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor={LIFT_COLOURS[state]}
      pl={2}
      data-fill-card={card.name}
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
          {t('backfill.lift', {
            stage: t(`backfill.stages.${card.part}`),
            side: sideText(t, card),
            lift: card.lift,
          })}
        </Button>
        <Box as="strong" fontSize="sm" color={state === 'failed' ? 'held' : 'ink'} flexShrink={0}>
          {t(`proof.state.${state}`)}
        </Box>
      </Flex>
      <Small>
        {t('proof.topAt', {
          level: format.text(card.top, 'level'),
          fromString: format.text(fill.info.string.level - card.top, 'length'),
          loose: format.text(card.loose, 'size'),
        })}
        {wanted > 0 && ` · ${t('proof.tests', { passed, wanted })}`}
      </Small>
      {open && (
        <Stack gap={1.5} py={1}>
          <Small>
            {tampingText(t, format, card)} ·{' '}
            {t('backfill.limit', {
              limit: format.text(card.lifts.limit, 'size'),
              by: t(`backfill.limitBy.${card.lifts.limitBy}`),
            })}
          </Small>
          {water !== null && (
            <Fact
              label={t(water >= 0 ? 'proof.water' : 'proof.dry')}
              value={format.text(Math.abs(water), 'weighing', { decimals: 0 })}
            />
          )}
          {card.stops.map((stop) => (
            <Stopped key={`${stop.code}${stop.hold?.hold ?? ''}`}>{stopText(t, format, stop)}</Stopped>
          ))}
          {tests.map((test) => (
            <Tested key={test.record.id} test={test} />
          ))}
          {laid?.value.despite && <Small>{`${laid.value.despite.who}: ${laid.value.despite.reason}`}</Small>}
          {release?.value && (
            <Small>
              {[t('proof.releasedBy', { who: release.value.who }), release.value.reason]
                .filter(Boolean)
                .join(': ')}
            </Small>
          )}
          {laid === null ? (
            <LogFilled card={card} />
          ) : (
            <>
              {card.part !== 'topsoil' && (
                <LogTest
                  card={card}
                  place={`${card.element}/${card.name}`}
                  maximum={maximum}
                  optimum={null}
                />
              )}
              {(state === 'failed' || state === 'placed') && <LogRework card={card} />}
              {state !== 'released' && state !== 'overridden' && <LogRelease card={card} />}
            </>
          )}
        </Stack>
      )}
    </Box>
  );
}
