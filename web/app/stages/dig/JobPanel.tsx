/** What holds for the whole dig: sides, rules, buckets, whom to ring. */
import { Box, Flex } from '@chakra-ui/react';
import { INCH, RULE_SETS, SUPPORTS } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Panel, PlanField } from '../fields.tsx';

/** What holds for every trench and pad unless one says otherwise. */
export function DigJobPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { dig, ruleSet, emergencyContact } = useDesk((desk) => desk.plan);
  const { handTrim } = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel title={t('dig.job')} aside={t('dig.jobAside')}>
      <Choice
        label={t('dig.support')}
        value={dig.support}
        options={SUPPORTS.map((value) => ({ value, label: t(`ways.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.dig.support = value;
          })
        }
      />
      <TextField
        label={t('dig.emergencyContact')}
        name="emergencyContact"
        value={emergencyContact}
        maxLength={120}
        autoComplete="off"
        onChange={(event) =>
          edit((d) => {
            d.emergencyContact = event.target.value;
          }, 'emergencyContact')
        }
      />
      <PlanField path="/dig/slope" />
      <PlanField path="/dig/bench/height" />
      <PlanField path="/dig/bench/width" />
      <PlanField hint={t('dig.eachSide')} path="/dig/shore" />
      <PlanField hint={t('dig.eachSide')} path="/dig/room" />
      <Choice
        label={t('dig.ruleSet')}
        value={ruleSet}
        options={RULE_SETS.map((value) => ({ value, label: t(`dig.rules.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.ruleSet = value;
          })
        }
      />
      {ruleSet === 'own' && <OwnRules />}
      <Choice
        label={t('dig.corners')}
        value={dig.corners}
        options={(['mitred', 'rounded'] as const).map((value) => ({ value, label: t(`dig.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.dig.corners = value;
          })
        }
      />
      <PlanField
        hint={t('dig.handTrimHint')}
        path="/dig/handTrim"
        placeholder={handTrim.thickness}
        optional
      />
      {dig.buckets.map((bucket, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: buckets are known by their place in the set
        <Flex key={i} gap={1.5} align="center">
          <Box flex={1}>
            <PlanField label={t('dig.bucketN', { n: i + 1 })} path={`/dig/buckets/${i}`} />
          </Box>
          <Button
            look="quiet"
            disabled={dig.buckets.length === 1}
            aria-label={t('dig.removeBucket', { width: format.text(bucket, 'size') })}
            onClick={() =>
              edit((d) => {
                d.dig.buckets.splice(i, 1);
              })
            }
          >
            <Trash2 size={15} aria-hidden />
          </Button>
        </Flex>
      ))}
      {dig.buckets.length < 12 && (
        <Button
          onClick={() =>
            edit((d) => {
              d.dig.buckets.push(format.system === 'metric' ? 0.6 : 24 * INCH);
            })
          }
        >
          {t('dig.addBucket')}
        </Button>
      )}
    </Panel>
  );
}

const OWN = [
  'protectFrom',
  'a',
  'b',
  'c',
  'engineerDepth',
  'setback',
  'ladderDepth',
  'ladderTravel',
] as const;

/** The crew's or the country's own rules, typed. */
function OwnRules() {
  const { t } = useTranslation();
  return OWN.map((key) => <PlanField key={key} label={t(`dig.own.${key}`)} path={`/ownRules/${key}`} />);
}
