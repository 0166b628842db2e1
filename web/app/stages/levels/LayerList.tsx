/** The layers of a floor, typed: material, thickness, order. */
import { Box, Flex } from '@chakra-ui/react';
import { type FloorStack, MATERIAL_IDS, type MaterialId } from '@cimiento/core';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button, Select } from '../../ui/controls.tsx';
import { PlanField } from '../fields.tsx';
import { addLayer, moveLayer, setMaterial } from './floors.ts';

export function LayerList({ stack }: { stack: FloorStack }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const floorIndex = useDesk((desk) => desk.plan.levels.floors.findIndex((f) => f.id === stack.floor.id));
  const { edit } = store.getState();
  const { floor } = stack;
  const once = floor.layers.filter((layer) => layer.joint === null).length;
  return (
    <Flex direction="column" gap={1.5}>
      {floor.layers.map((layer, i) => (
        <Box
          key={layer.id}
          data-layer-row={layer.id}
          borderBottomWidth="1px"
          borderStyle="solid"
          borderColor="rule"
          pb={1}
        >
          <Flex gap={1} align="center">
            <Select
              aria-label={t('stack.material', { n: i + 1 })}
              minH={{ base: '44px', lg: '30px' }}
              value={layer.material}
              onChange={(event) => {
                const material = event.target.value as MaterialId;
                edit((d) => setMaterial(d, floor.id, i, material, t(`material.${material}`)));
              }}
            >
              {MATERIAL_IDS.map((id) => (
                <option key={id} value={id}>
                  {t(`material.${id}`)}
                </option>
              ))}
            </Select>
            <Button
              size="sm"
              aria-label={t('stack.up', { name: layer.name })}
              disabled={i === 0 || layer.joint !== null}
              onClick={() => edit((d) => moveLayer(d, floor.id, i, i - 1))}
            >
              <ArrowUp size={13} aria-hidden />
            </Button>
            <Button
              size="sm"
              aria-label={t('stack.down', { name: layer.name })}
              disabled={i >= once - 1 || layer.joint !== null}
              onClick={() => edit((d) => moveLayer(d, floor.id, i, i + 1))}
            >
              <ArrowDown size={13} aria-hidden />
            </Button>
            <Button
              size="sm"
              aria-label={t('levels.removeLayer', { name: layer.name })}
              onClick={() =>
                edit((d) => {
                  d.levels.floors[floorIndex]!.layers.splice(i, 1);
                })
              }
            >
              <Trash2 size={13} aria-hidden />
            </Button>
          </Flex>
          <PlanField
            label={t(layer.joint === null ? 'levels.thickness' : 'stack.unit')}
            path={`/levels/floors/${floorIndex}/layers/${i}/thickness`}
            width="6.2rem"
          />
          {layer.joint !== null && (
            <PlanField path={`/levels/floors/${floorIndex}/layers/${i}/joint`} width="6.2rem" />
          )}
        </Box>
      ))}
      <Select
        aria-label={t('levels.addLayer')}
        value=""
        onChange={(event) => {
          const material = event.target.value as MaterialId;
          if (material) edit((d) => addLayer(d, floor.id, material, t(`material.${material}`)));
        }}
      >
        <option value="">{t('levels.addLayer')}</option>
        {MATERIAL_IDS.map((id) => (
          <option key={id} value={id}>
            {t(`material.${id}`)}
          </option>
        ))}
      </Select>
    </Flex>
  );
}
