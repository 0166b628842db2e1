/** Where the muck goes: what is kept, what leaves, in which trucks and how many loads. */
import { Box, Flex } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { Button, Input, Small, Th } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Choice } from '../../parts/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function BackfillPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { spoil } = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const { edit } = store.getState();
  const volume = (value: number) => format.parts(value, 'volume').number;
  return (
    <>
      <Panel title={t('backfill.spoil')} aside={format.parts(0, 'volume').unit}>
        <Box as="table" fontSize="sm" w="full">
          <thead>
            <tr>
              {(['soil', 'bank', 'loose', 'kept', 'hauled'] as const).map((key) => (
                <Th
                  scope="col"
                  key={key}
                  textAlign={key === 'soil' ? 'left' : 'right'}
                  fontWeight={500}
                  color="soft"
                >
                  {t(`backfill.${key}`)}
                </Th>
              ))}
            </tr>
          </thead>
          <Box as="tbody" fontFamily="figure" fontSize="md">
            {takeoff.spoil.strata.map((s) => (
              <tr key={s.soil.layer.id}>
                <Th scope="row" textAlign="left" fontFamily="body" fontWeight={400} fontSize="sm">
                  {s.soil.layer.name || t(`soil.${s.soil.layer.kind}`)}
                </Th>
                {[s.bank, s.loose, s.keptBank, s.hauledBank].map((value, i) => (
                  <Box as="td" key={['bank', 'loose', 'kept', 'hauled'][i]} textAlign="right">
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
        <Fact label={t('work.void')} value={format.text(takeoff.spoil.backfill, 'volume')} />
        {takeoff.spoil.shortfall > 0 && (
          <Fact label={t('work.shortfall')} value={format.text(takeoff.spoil.shortfall, 'volume')} />
        )}
      </Panel>
      <Panel title={t('backfill.trucks')}>
        {spoil.trucks.map((truck, i) => {
          const loads = takeoff.loads.find((l) => l.truck.id === truck.id);
          return (
            <Box key={truck.id} borderLeftWidth="3px" borderStyle="solid" borderColor="earth" pl={2}>
              <Flex gap={1.5}>
                <Input
                  aria-label={t('backfill.truckName')}
                  value={truck.name}
                  maxLength={80}
                  onChange={(event) => {
                    if (event.target.value)
                      edit((d) => {
                        d.spoil.trucks[i]!.name = event.target.value;
                      }, `truck:${truck.id}`);
                  }}
                />
                <Button
                  look="quiet"
                  disabled={spoil.trucks.length === 1}
                  aria-label={t('backfill.removeTruck', { name: truck.name })}
                  onClick={() =>
                    edit((d) => {
                      d.spoil.trucks.splice(i, 1);
                    })
                  }
                >
                  <Trash2 size={15} aria-hidden />
                </Button>
              </Flex>
              <PlanField label={t('input.body')} path={`/spoil/trucks/${i}/body`} />
              <PlanField label={t('input.payload')} path={`/spoil/trucks/${i}/payload`} />
              <PlanField label={t('input.side')} path={`/spoil/trucks/${i}/side`} />
              {loads && (
                <Fact
                  label={t('backfill.alone', { count: loads.loads })}
                  note={
                    loads.loads > 0
                      ? t(`backfill.limit.${loads.limit}`, {
                          fill: format.text(loads.lastFill, 'percent', { decimals: 0 }),
                        })
                      : ''
                  }
                  value={String(loads.loads)}
                />
              )}
            </Box>
          );
        })}
        {takeoff.mixed.length > 1 && (
          <Small fontSize="sm">
            {t('backfill.mixed', {
              loads: takeoff.mixed
                .map((m) => `${m.loads} × ${spoil.trucks.find((truck) => truck.id === m.truck)?.name}`)
                .join(' + '),
            })}
          </Small>
        )}
        {spoil.trucks.length < 6 && (
          <Button
            onClick={() =>
              edit((d) => {
                d.spoil.trucks.push({
                  id: nextName(
                    'truck-',
                    d.spoil.trucks.map((x) => x.id),
                  ),
                  name: t('backfill.truck'),
                  body: 8,
                  payload: 13000,
                  side: 2.4,
                });
              })
            }
          >
            {t('backfill.addTruck')}
          </Button>
        )}
      </Panel>
    </>
  );
}
