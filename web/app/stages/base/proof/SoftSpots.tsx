/** Soft spots of the job: how deep each is taken out, what goes back, and what that comes to. */
import { Stack } from '@chakra-ui/react';
import { BED_MATERIAL_IDS, COMPACTOR_IDS, cornerMean, type SoftSpot, type Takeoff } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { NameRow } from '../../../ui/NameRow.tsx';
import { compactorText } from '../../../ui/plant.ts';
import { Choice } from '../../../ui/TextField.tsx';
import { Fact, Panel, PlanField } from '../../fields.tsx';
import { addSpot, addSpotCorner } from '../beds.ts';

const MOST = 60;

/** Middle of the largest piece of bottom of what is picked, else of the first there is. */
function placeFor({ elements }: Takeoff, picked: string | null): readonly [number, number] {
  const own = elements.find((e) => e.id === picked && e.bottoms.length > 0);
  const piece = (own ?? elements.find((e) => e.bottoms.length > 0))?.bottoms[0];
  if (!piece) return [0, 0];
  const [x, y] = cornerMean(piece);
  return [Math.round(x * 100) / 100, Math.round(y * 100) / 100];
}

export function SoftSpots() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const spots = useDesk((desk) => desk.plan.ground.softSpots);
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  const { soft, trips } = takeoff;
  const add = () => {
    let id = '';
    store.getState().edit((d) => {
      id = addSpot(d, placeFor(takeoff, picked));
    });
    store.getState().look({ area: id });
  };
  return (
    <Panel
      fold={spots.length > 0 ? 'open' : 'shut'}
      title={t('softSpot.title')}
      aside={spots.length > 0 ? String(spots.length) : undefined}
    >
      {spots.length === 0 && <Small>{t('softSpot.none')}</Small>}
      {spots.map((spot, i) => (
        <Spot key={spot.id} spot={spot} index={i} dug={soft.find((one) => one.spot.id === spot.id)} />
      ))}
      {spots.length > 0 && trips.matched > 0 && (
        <Small data-trips={trips.matched}>{t('softSpot.trips', trips)}</Small>
      )}
      {spots.length > 0 && <Small>{t('softSpot.engineer')}</Small>}
      {spots.length < MOST && <Button onClick={add}>{t('softSpot.add')}</Button>}
    </Panel>
  );
}

interface Own {
  readonly spot: SoftSpot;
  readonly index: number;
  readonly dug: Takeoff['soft'][number] | undefined;
}

function Spot({ spot, index, dug }: Own) {
  const { t } = useTranslation();
  const { edit, look } = useDeskStore().getState();
  const picked = useDesk((desk) => desk.view.area === spot.id);
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="3px"
      borderStyle="solid"
      borderColor={picked ? 'chalk' : 'held'}
      pl={2}
      data-soft-spot={spot.id}
      onFocus={() => look({ area: spot.id })}
    >
      <NameRow
        label={t('dig.name')}
        name={spot.name}
        rename={(name) =>
          edit((d) => {
            d.ground.softSpots[index]!.name = name;
          }, `spot-name:${spot.id}`)
        }
        removeLabel={t('softSpot.remove', { name: spot.name })}
        remove={() =>
          edit((d) => {
            d.ground.softSpots.splice(index, 1);
          })
        }
      />
      <PlanField path={`/ground/softSpots/${index}/depth`} />
      <PutBack spot={spot} index={index} />
      {dug && <Comes dug={dug} />}
      <Button
        look="quiet"
        onClick={() =>
          edit((d) => {
            addSpotCorner(d.ground.softSpots[index]!);
          })
        }
      >
        {t('softSpot.corner')}
      </Button>
    </Stack>
  );
}

function PutBack({ spot, index }: Omit<Own, 'dug'>) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const put = (change: (target: SoftSpot) => void) => edit((d) => change(d.ground.softSpots[index]!));
  return (
    <>
      <Choice
        label={t('softSpot.material')}
        value={spot.material}
        options={BED_MATERIAL_IDS.map((value) => ({ value, label: t(`bedMaterial.${value}`) }))}
        onChange={(material) =>
          put((target) => {
            target.material = material;
          })
        }
      />
      {spot.material === 'soilCement' && (
        <PlanField path={`/ground/softSpots/${index}/cement`} hint={t('softSpot.cementHint')} optional />
      )}
      {spot.material !== 'lean' && (
        <Choice
          label={t('base.compactor')}
          value={spot.compactor ?? ''}
          options={[
            { value: '', label: t('base.noCompactor') },
            ...COMPACTOR_IDS.map((value) => ({ value, label: compactorText(t, format, value) })),
          ]}
          onChange={(value) =>
            put((target) => {
              target.compactor = value === '' ? null : value;
            })
          }
        />
      )}
    </>
  );
}

function Comes({ dug }: { dug: Takeoff['soft'][number] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const elements = useTakeoff().elements;
  const { area, volume, loose, mass, lifts, lowest, pieces, cement } = dug;
  const string = elements[pieces[0]?.owner ?? -1]?.string.level;
  return (
    <>
      <Fact label={t('softSpot.area')} value={format.text(area, 'area')} />
      <Fact label={t('softSpot.out')} value={format.text(volume, 'volume')} />
      <Fact
        label={t('softSpot.back')}
        note={t('softSpot.backNote', {
          loose: format.text(loose, 'volume'),
          mass: format.text(mass, 'mass'),
        })}
        value={format.text(volume, 'volume')}
      />
      {cement !== null && (
        <Fact label={t('softSpot.cementTakes')} value={format.text(cement, 'weighing', { decimals: 0 })} />
      )}
      {lowest !== null && string !== undefined && (
        <Fact label={t('softSpot.fromString')} value={format.text(string - lowest, 'length')} />
      )}
      {lifts && (
        <Small>
          {t('softSpot.lifts', {
            count: lifts.count,
            lift: format.text(lifts.thickness, 'size'),
            loose: format.text(lifts.loose, 'size'),
          })}
        </Small>
      )}
    </>
  );
}
