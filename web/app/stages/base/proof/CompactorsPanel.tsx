/** Compactors side by side for the thickest compacted layer under what is picked. */
import { Box, Flex } from '@chakra-ui/react';
import { compactorChoices } from '@cimiento/core';
import { useDeskStore } from '../../../desk/store.ts';
import { useTakeoff } from '../../../desk/takeoff.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { Button, Small } from '../../../parts/controls.tsx';
import { useFormat } from '../../../parts/format.tsx';
import { compactorText, layerName } from '../../../parts/words.ts';
import { Panel } from '../../fields.tsx';

export function CompactorsPanel({ index }: { index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const info = useTakeoff().elements[index];
  const compacted = info?.cards.map((card) => card.layer) ?? [];
  if (!info?.live || !info.bed || compacted.length === 0) return null;
  const layer = compacted.reduce((most, next) => (next.thickness > most.thickness ? next : most));
  const width = info.width.dug;
  const length = info.layers.find((laid) => laid.layer.id === layer.id)!.area / width;
  const bed = info.bed.id;
  return (
    <Panel fold="shut" title={t('proof.compactors', { layer: layerName(t, layer) })}>
      {compactorChoices(layer, length, width).map(({ compactor, lifts, hours, unsuited, tooWide }) => (
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
            <strong>{compactorText(t, compactor)}</strong>
            {layer.compactor === compactor ? (
              <Small>{t('proof.picked')}</Small>
            ) : (
              <Button
                size="sm"
                onClick={() =>
                  store.getState().edit((d) => {
                    const target = d.beds
                      .find((one) => one.id === bed)
                      ?.layers.find((one) => one.id === layer.id);
                    if (target) target.compactor = compactor;
                  })
                }
              >
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
          {unsuited && <Small color="held">{t('proof.unsuited')}</Small>}
          {tooWide && <Small color="held">{t('proof.tooWide')}</Small>}
        </Box>
      ))}
      <Small>{t('proof.compactorNote')}</Small>
    </Panel>
  );
}
