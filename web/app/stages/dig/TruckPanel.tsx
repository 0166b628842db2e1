/** The trucks the crew can have: what each takes, and how many loads it would be alone. */
import { Box, Flex } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Input, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Fact, Panel, PlanField } from '../fields.tsx';

export function TruckPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { spoil } = useDesk((desk) => desk.plan);
  const takeoff = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel title={t('trucks.list')}>
      {spoil.trucks.map((truck, i) => {
        const loads = takeoff.loads.find((l) => l.truck.id === truck.id);
        return (
          <Box key={truck.id} borderLeftWidth="3px" borderStyle="solid" borderColor="earth" pl={2}>
            <Flex gap={1.5}>
              <Input
                aria-label={t('trucks.name')}
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
                aria-label={t('trucks.remove', { name: truck.name })}
                onClick={() =>
                  edit((d) => {
                    d.spoil.trucks.splice(i, 1);
                  })
                }
              >
                <Trash2 size={15} aria-hidden />
              </Button>
            </Flex>
            <PlanField path={`/spoil/trucks/${i}/body`} />
            <PlanField path={`/spoil/trucks/${i}/payload`} />
            <PlanField path={`/spoil/trucks/${i}/sideHeight`} />
            {loads && (
              <Fact
                label={t('trucks.alone', { count: loads.loads })}
                note={
                  loads.loads > 0
                    ? t(`trucks.limit.${loads.limit}`, {
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
          {t('trucks.mixed', {
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
                name: t('trucks.one'),
                body: 8,
                payload: 13000,
                sideHeight: 2.4,
              });
            })
          }
        >
          {t('trucks.add')}
        </Button>
      )}
    </Panel>
  );
}
