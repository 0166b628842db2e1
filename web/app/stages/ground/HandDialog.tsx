/** The soil in the hand: a few things one sees and feels, and what they say of it, with the reasons. */

import { Box, Flex, Grid, Stack } from '@chakra-ui/react';
import { CLASS_B_STRENGTH, HAND, type Hand, identify, type Soil } from '@cimiento/core';
import { coded } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDeskStore } from '../../state/store.ts';
import { Button, Heading, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { Fact, PlanField } from '../fields.tsx';

const TESTS = ['grain', 'thread', 'ribbon', 'shine', 'thumb', 'seep'] as const;

export function HandDialog({ soil, onClose }: { soil: Soil | null; onClose: () => void }) {
  const { t } = useTranslation();
  const name = soil ? soil.layer.name || t(`soil.${soil.layer.kind}`) : '';
  return (
    <Modal open={soil !== null} title={t('hand.of', { name })} onClose={onClose} width="58rem">
      {soil && <Guide soil={soil} />}
    </Modal>
  );
}

/** Of a thread rolled and ribbons pressed out, m (ASTM D2488; 29 CFR 1926 Subpart P, App. A). */
const SIZES = { thread: 0.003, short: 0.025, long: 0.05 } as const;

function Guide({ soil }: { soil: Soil }) {
  const { t } = useTranslation();
  const format = useFormat();
  const size = (of: keyof typeof SIZES) => format.text(SIZES[of], 'size');
  const sizes = { thread: size('thread'), short: size('short'), long: size('long') };
  const store = useDeskStore();
  const { index, layer } = soil;
  const hand: Hand = layer.hand ?? {};
  const found = identify(hand);
  const { edit } = store.getState();
  const put = (test: (typeof TESTS)[number], value: string) =>
    edit((d) => {
      const target = d.ground.soils[index]!;
      const next: Record<string, unknown> = { ...target.hand };
      // The same answer again takes it back.
      if (next[test] === value) delete next[test];
      else next[test] = value;
      target.hand = Object.keys(next).length === 0 ? null : (next as Hand);
    });
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 18rem' }} gap={5}>
      <Stack gap={3}>
        <Small fontSize="sm">{t('hand.intro')}</Small>
        {TESTS.map((test) => (
          <Box key={test} as="fieldset" border="none" p={0} m={0} data-test={test}>
            <Box as="legend" fontSize="sm" fontWeight={600} p={0}>
              {t(`hand.${test}.ask`, sizes)}
            </Box>
            <Small>{t(`hand.${test}.how`)}</Small>
            <Flex gap={1.5} wrap="wrap" pt={1}>
              {HAND[test].map((value) => (
                <Button
                  key={value}
                  look={hand[test] === value ? 'main' : 'plain'}
                  aria-pressed={hand[test] === value}
                  data-answer={value}
                  onClick={() => put(test, value)}
                >
                  {t(coded(`hand.${test}.${value}`), sizes)}
                </Button>
              ))}
            </Flex>
          </Box>
        ))}
        <PlanField
          hint={t('hand.penetrometerHint')}
          path={`/ground/soils/${index}/hand/penetrometer`}
          optional
        />
      </Stack>
      <Stack gap={3} position={{ md: 'sticky' }} top={0} alignSelf="start">
        <Box
          borderLeftWidth="4px"
          borderStyle="solid"
          borderColor="chalk"
          bg="chalkWash"
          p={3}
          data-identified
        >
          <Heading>
            {found.uscs
              ? t('hand.found', { uscs: found.uscs, name: t(coded(`hand.group.${found.uscs}`)) })
              : t('hand.nothing')}
          </Heading>
          <Fact label={t('hand.class')} value={found.slopeClass} />
          <Fact label={t('hand.reuse')} value={t(`soils.fill.${found.backfill}`)} />
          <Fact label={t('hand.water')} value={t(`hand.drains.${found.drains}`)} />
          <Fact label={t('hand.bottom')} value={t(found.softens ? 'hand.softens' : 'hand.holds')} />
          <Box as="ul" fontSize="sm" pt={1}>
            {found.reasons.map((reason) => (
              <Box as="li" key={reason} pl={3} textIndent="-0.7rem">
                · {t(`hand.reason.${reason}`, { strength: format.text(CLASS_B_STRENGTH, 'pressure') })}
              </Box>
            ))}
          </Box>
          {found.missing.length > 0 && (
            <Small pt={1}>
              {t('hand.more', { tests: found.missing.map((test) => t(`hand.short.${test}`)).join(', ') })}
            </Small>
          )}
          {layer.values.slopeClass && (
            <Small fontSize="sm" pt={1}>
              {t('hand.overridden', { class: layer.values.slopeClass })}
            </Small>
          )}
        </Box>
        {found.kind && found.kind !== layer.kind && (
          <Button
            onClick={() =>
              edit((d) => {
                d.ground.soils[index]!.kind = found.kind!;
              })
            }
          >
            {t('hand.use', { kind: t(`soil.${found.kind}`) })}
          </Button>
        )}
      </Stack>
    </Grid>
  );
}
