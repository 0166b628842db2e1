/** Where the muck goes: what is kept and what leaves, soil by soil, and what fills the hole. */
import { Box } from '@chakra-ui/react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Th } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel, Toggle } from '../fields.tsx';
import { WaitsToBeSeen } from '../WaitsToBeSeen.tsx';

/** Less of a soil is none, m³. */
const NONE = 0.05;

export function BackfillPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { spoil } = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const { edit } = store.getState();
  const volume = (value: number) => format.parts(value, 'volume').number;
  return (
    <Panel title={t('backfill.spoil')} aside={format.parts(0, 'volume').unit}>
      <WaitsToBeSeen of={({ before }) => before === 'backfill'} />
      <Box as="table" fontSize="sm" w="full">
        <thead>
          <tr>
            {(['soil', 'bank', 'loose', 'kept', 'hauled'] as const).map((key) => (
              <Th
                scope="col"
                key={key}
                textAlign={key === 'soil' ? 'left' : 'right'}
                pl={key === 'soil' ? 0 : 2}
                fontWeight={500}
                color="soft"
              >
                {t(`backfill.${key}`)}
              </Th>
            ))}
          </tr>
        </thead>
        <Box as="tbody" fontFamily="figure" fontSize="md">
          {takeoff.spoil.strata
            .filter(({ bank }) => bank > NONE)
            .map((s) => (
              <tr key={s.soil.layer.id}>
                <Th scope="row" textAlign="left" fontFamily="body" fontWeight={400} fontSize="sm">
                  {s.soil.layer.name || t(`soil.${s.soil.layer.kind}`)}
                </Th>
                {[s.bank, s.loose, s.keptBank, s.hauledBank].map((value, i) => (
                  <Box as="td" key={['bank', 'loose', 'kept', 'hauled'][i]} textAlign="right" pl={2}>
                    {volume(value)}
                  </Box>
                ))}
              </tr>
            ))}
        </Box>
      </Box>
      <Choice
        label={t('backfill.topsoil')}
        value={spoil.topsoil}
        options={(['keep', 'haul'] as const).map((value) => ({
          value,
          label: t(`backfill.topsoil_${value}`),
        }))}
        onChange={(value) =>
          edit((d) => {
            d.spoil.topsoil = value;
          })
        }
      />
      <Toggle
        label={t('backfill.keep')}
        on={spoil.keepForBackfill}
        onChange={(on) =>
          edit((d) => {
            d.spoil.keepForBackfill = on;
          })
        }
      />
      <Fact label={t('backfill.void')} value={format.text(takeoff.spoil.backfill, 'volume')} />
      {takeoff.spoil.shortfall > 0 && (
        <Fact label={t('backfill.short')} value={format.text(takeoff.spoil.shortfall, 'volume')} />
      )}
    </Panel>
  );
}
