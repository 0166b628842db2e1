/** How deep from the string: string, floor build-up, bearing, cover, and the engineer's word. */
import { Flex, Stack } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from 'react-i18next';
import { useDesk, useDeskStore } from '../../desk/store.ts';
import { useTakeoff } from '../../desk/takeoff.ts';
import { Button, Input } from '../../parts/controls.tsx';
import { useFormat } from '../../parts/format.tsx';
import { Choice, TextField } from '../../parts/TextField.tsx';
import { Fact, Panel, PlanField, Toggle } from '../fields.tsx';

export function LevelsPanel() {
  const { t } = useTranslation();
  const { datum } = useDesk((desk) => desk.plan);
  const store = useDeskStore();
  return (
    <>
      <Panel title={t('levels.string')}>
        <TextField
          label={t('levels.datumName')}
          value={datum.name}
          maxLength={80}
          onChange={(event) =>
            store.getState().edit((d) => {
              d.datum.name = event.target.value;
            }, 'datum-name')
          }
        />
        <PlanField label={t('levels.datum')} path="/datum/level" />
        <PlanField label={t('levels.stringLevel')} path="/levels/string" />
        <PlanField label={t('levels.cover')} hint={t('levels.coverHint')} path="/levels/cover" optional />
      </Panel>
      <Bearing />
      <Floor />
      <Instruction />
    </>
  );
}

function Bearing() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const { levels, ground } = useDesk((desk) => desk.plan);
  const { bearing } = levels;
  return (
    <Panel title={t('levels.bearing')}>
      <Choice
        label={t('levels.bearingSoil')}
        value={bearing?.soil ?? ''}
        options={[
          { value: '', label: t('levels.noBearing') },
          ...ground.soils.map((soil) => ({ value: soil.id, label: soil.name || t(`soil.${soil.kind}`) })),
        ]}
        onChange={(soil) =>
          store.getState().edit((d) => {
            d.levels.bearing = soil === '' ? null : { soil, embedment: d.levels.bearing?.embedment ?? 0.15 };
          })
        }
      />
      {bearing && <PlanField label={t('levels.embedment')} path="/levels/bearing/embedment" />}
    </Panel>
  );
}

function Floor() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { floor, string } = useDesk((desk) => desk.plan.levels);
  const { stackUnderside } = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel title={t('levels.floor')}>
      <Toggle
        label={t('levels.hasFloor')}
        on={floor !== null}
        onChange={(on) =>
          edit((d) => {
            d.levels.floor = on
              ? { level: string - 0.15, layers: [{ id: 'slab', name: t('levels.slab'), thickness: 0.12 }] }
              : null;
          })
        }
      />
      {floor && (
        <>
          <PlanField label={t('levels.floorLevel')} path="/levels/floor/level" />
          <Stack gap={1.5} borderLeftWidth="3px" borderStyle="solid" borderColor="placed" pl={2}>
            {floor.layers.map((layer, i) => (
              <Flex key={layer.id} gap={1.5} align="end">
                <Input
                  aria-label={t('levels.layerName')}
                  value={layer.name}
                  maxLength={80}
                  onChange={(event) => {
                    if (event.target.value)
                      edit((d) => {
                        d.levels.floor!.layers[i]!.name = event.target.value;
                      }, `layer:${layer.id}`);
                  }}
                />
                <PlanField
                  stacked
                  label={t('levels.thickness')}
                  path={`/levels/floor/layers/${i}/thickness`}
                />
                <Button
                  look="quiet"
                  aria-label={t('levels.removeLayer', { name: layer.name })}
                  onClick={() =>
                    edit((d) => {
                      d.levels.floor!.layers.splice(i, 1);
                    })
                  }
                >
                  <Trash2 size={15} aria-hidden />
                </Button>
              </Flex>
            ))}
            <Button
              onClick={() =>
                edit((d) => {
                  d.levels.floor!.layers.push({
                    id: nextName(
                      'layer-',
                      d.levels.floor!.layers.map((l) => l.id),
                    ),
                    name: t('levels.layer'),
                    thickness: 0.05,
                  });
                })
              }
            >
              {t('levels.addLayer')}
            </Button>
          </Stack>
          {stackUnderside !== null && (
            <Fact label={t('levels.stackUnderside')} value={format.text(stackUnderside, 'level')} />
          )}
        </>
      )}
    </Panel>
  );
}

function Instruction() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const takeoff = useTakeoff();
  const { instruction } = useDesk((desk) => desk.plan.levels);
  const { edit } = store.getState();
  const start = takeoff.elements.find((e) => e.live)?.underside ?? 99;
  return (
    <Panel title={t('levels.instruction')}>
      <Toggle
        label={t('levels.hasInstruction')}
        on={instruction !== null}
        onChange={(on) =>
          edit((d) => {
            d.levels.instruction = on
              ? { level: Math.round(start * 1000) / 1000, who: t('levels.engineer'), when: '', why: '' }
              : null;
          })
        }
      />
      {instruction && (
        <>
          <PlanField label={t('levels.instructionLevel')} path="/levels/instruction/level" />
          <TextField
            label={t('levels.who')}
            value={instruction.who}
            maxLength={80}
            onChange={(event) => {
              if (event.target.value)
                edit((d) => {
                  d.levels.instruction!.who = event.target.value;
                }, 'instruction-who');
            }}
          />
          <TextField
            label={t('levels.when')}
            type="date"
            value={instruction.when}
            onChange={(event) =>
              edit((d) => {
                d.levels.instruction!.when = event.target.value;
              }, 'instruction-when')
            }
          />
          <TextField
            label={t('levels.why')}
            value={instruction.why}
            maxLength={400}
            onChange={(event) =>
              edit((d) => {
                d.levels.instruction!.why = event.target.value;
              }, 'instruction-why')
            }
          />
        </>
      )}
    </Panel>
  );
}
