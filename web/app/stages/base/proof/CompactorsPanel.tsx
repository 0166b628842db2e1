/** Compactors side by side for the thickest compacted layer under what is picked. */
import { Box, Flex } from '@chakra-ui/react';
import { type CompactorId, compactorChoices, newCompactor } from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useLog } from '../../../state/records.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { NameRow } from '../../../ui/NameRow.tsx';
import { compactorText } from '../../../ui/plant.ts';
import { TextField } from '../../../ui/TextField.tsx';
import { layerName } from '../../../ui/words.ts';
import { Panel, PlanField } from '../../fields.tsx';

export function CompactorsPanel({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const crew = useDesk((desk) => desk.plan.compactors);
  const info = useTakeoff().elements[index];
  const log = useLog();
  const [why, setWhy] = useState('');
  const compacted = info?.cards.map((card) => card.layer) ?? [];
  if (!info?.live || !info.bed || compacted.length === 0) return null;
  const layer = compacted.reduce((most, next) => (next.thickness > most.thickness ? next : most));
  const width = info.width.dug;
  const length = info.layers.find((laid) => laid.layer.id === layer.id)!.area / width;
  const bed = info.bed.id;
  const pick = (compactor: CompactorId) => {
    store.getState().edit((d) => {
      const target = d.beds.find((one) => one.id === bed)?.layers.find((one) => one.id === layer.id);
      if (target) target.compactor = compactor;
    });
    if (why.trim() === '') return;
    // Why it was chosen stays with the job.
    log('note', { text: `${compactorText(t, format, compactor)}: ${why.trim()}` }, { element: info.id });
    setWhy('');
  };
  return (
    <Panel fold="shut" title={t('proof.compactors', { layer: layerName(t, layer) })}>
      <TextField
        label={t('proof.why')}
        hint={t('proof.whyHint')}
        value={why}
        maxLength={400}
        onChange={(event) => setWhy(event.target.value)}
      />
      {compactorChoices(layer, length, width, crew).map(
        ({ compactor, own, lifts, hours, unsuited, tooWide }) => (
          <Box
            key={compactor}
            borderWidth="1px"
            borderStyle="solid"
            borderColor={layer.compactor === compactor ? 'chalk' : 'rule'}
            px={2}
            py={1}
            fontSize="sm"
            data-compactor={compactor}
          >
            <Flex justify="space-between" align="center" gap={2}>
              <strong>
                {own
                  ? `${own.name} · ${compactorText(t, format, compactor)}`
                  : compactorText(t, format, compactor)}
              </strong>
              {layer.compactor === compactor ? (
                <Small>{t('proof.picked')}</Small>
              ) : (
                <Button size="sm" onClick={() => pick(compactor)}>
                  {t('proof.pick')}
                </Button>
              )}
            </Flex>
            <Small>
              {t('proof.compactorLine', {
                count: lifts.count,
                lift: format.text(lifts.thickness, 'size'),
                passes: lifts.passes[1],
                hours: format.text(hours, 'hours'),
              })}
            </Small>
            <Ours compactor={compactor} />
            {unsuited && <Small color="held">{t('proof.unsuited')}</Small>}
            {tooWide && <Small color="held">{t('proof.tooWide')}</Small>}
          </Box>
        ),
      )}
      <Small>{t('proof.compactorNote')}</Small>
    </Panel>
  );
}

/** The crew's own of a kind: its mass, width and pace beat what is typical. */
function Ours({ compactor }: { compactor: CompactorId }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const at = useDesk((desk) => desk.plan.compactors.findIndex(({ kind }) => kind === compactor));
  const name = useDesk((desk) => desk.plan.compactors[at]?.name ?? '');
  if (at < 0)
    return (
      <Button
        size="sm"
        look="quiet"
        onClick={() =>
          edit((d) => {
            d.compactors.push(newCompactor(compactor, t('proof.oursName')));
          })
        }
      >
        {t('proof.ours')}
      </Button>
    );
  return (
    <>
      <NameRow
        label={t('dig.name')}
        name={name}
        rename={(to) =>
          edit((d) => {
            d.compactors[at]!.name = to;
          }, `compactor-name:${compactor}`)
        }
        removeLabel={t('proof.oursGone', { name })}
        remove={() =>
          edit((d) => {
            d.compactors.splice(at, 1);
          })
        }
      />
      {(['mass', 'width', 'speed'] as const).map((key) => (
        <PlanField key={key} path={`/compactors/${at}/${key}`} />
      ))}
    </>
  );
}
