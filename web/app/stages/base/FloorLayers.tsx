/** What is laid of the floors that slabs on the ground carry. */

import { useTranslation } from '../../messages/useTranslation.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { Fact, Panel } from '../fields.tsx';

export function FloorLayers() {
  const { t } = useTranslation();
  const format = useFormat();
  const { floors } = useTakeoff();
  return floors.map(({ floor, area, edge, layers }) => (
    <Panel
      key={floor.id}
      fold="shut"
      title={t('floorLayers.title', { name: floor.name })}
      aside={format.text(area, 'area')}
    >
      {layers.map(({ layer, zone, bought, volume, mass, sheets }) => (
        <Fact
          key={layer.id}
          label={`${zone ? t(`slab.boardsIn.${zone}`) : layer.name} · ${format.text(layer.thickness, 'size', layer.thickness < 0.005 ? { decimals: 1 } : {})}`}
          note={[
            format.text(volume, 'volume'),
            ...(mass === null ? [] : [format.text(mass, 'mass')]),
            ...(sheets === null ? [] : [t('floorLayers.sheets', { count: sheets })]),
          ].join(' · ')}
          value={format.text(bought, 'area')}
        />
      ))}
      <Fact label={t('floorLayers.edge')} value={format.text(edge, 'length')} />
    </Panel>
  ));
}
