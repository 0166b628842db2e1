/** A slab: its edge, and whether it goes below frost or lies on a bed that frost cannot lift. */
import { BOARD_ZONES, crossfallDrop, FOUNDINGS, type Raft, startOf, thicknessOf } from '@cimiento/core';
import type { FC } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { thicken } from '../base/beds.ts';
import { Fact, PlanField, Toggle } from '../fields.tsx';
import { type Own, pathOf, usePut } from './own.ts';

export const SlabFields: FC<Own<Raft>> = (own) => {
  const { t } = useTranslation();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const path = pathOf(own);
  const { edge, founding } = own.element;
  return (
    <>
      <PlanField label={t('dig.slab')} path={`${path}/thickness`} />
      <Choice
        label={t('slab.founding')}
        value={founding}
        options={FOUNDINGS.map((value) => ({ value, label: t(`slab.${value}`) }))}
        onChange={(value) =>
          put((e) => {
            e.founding = value;
          })
        }
      />
      {founding === 'floor' && <SlabFrost {...own} />}
      <Toggle
        label={t('dig.edge')}
        on={edge !== null}
        onChange={(on) =>
          put((e) => {
            e.edge = on
              ? {
                  depth: startOf('/elements/*/edge/depth', system),
                  width: startOf('/elements/*/edge/width', system),
                }
              : null;
          })
        }
      />
      {edge && (
        <>
          <PlanField path={`${path}/edge/depth`} />
          <PlanField path={`${path}/edge/width`} />
        </>
      )}
      {founding === 'floor' && <Boards {...own} />}
      {founding === 'floor' && <Crossfall {...own} />}
    </>
  );
};

/** Boards against frost besides those of the floor. */
function Boards(own: Own<Raft>) {
  const { t } = useTranslation();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const path = pathOf(own);
  const { boards } = own.element;
  return (
    <>
      <Choice
        label={t('slab.boards')}
        value={boards?.zone ?? 'none'}
        options={(['none', ...BOARD_ZONES] as const).map((value) => ({
          value,
          label: t(`slab.zones.${value}`),
        }))}
        onChange={(zone) =>
          put((e) => {
            const { thickness, width } = e.boards ?? {
              thickness: startOf('/elements/*/boards/thickness', system),
              width: startOf('/elements/*/boards/width', system),
            };
            e.boards = zone === 'none' ? null : { zone, thickness, width };
          })
        }
      />
      {boards && <PlanField path={`${path}/boards/thickness`} />}
      {boards && boards.zone !== 'whole' && <PlanField path={`${path}/boards/width`} />}
    </>
  );
}

/** Paving that falls away from the house. */
function Crossfall(own: Own<Raft>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const path = pathOf(own);
  const { element } = own;
  const info = useTakeoff().elements[own.index];
  const half = crossfallDrop(element) / 2;
  return (
    <>
      <Toggle
        label={t('slab.falls')}
        on={element.crossfall !== null}
        onChange={(on) =>
          put((e) => {
            e.crossfall = on
              ? {
                  grade: startOf('/elements/*/crossfall/grade', system),
                  toward: startOf('/elements/*/crossfall/toward', system),
                }
              : null;
          })
        }
      />
      {element.crossfall && (
        <>
          <PlanField path={`${path}/crossfall/grade`} />
          <PlanField hint={t('slab.towardHint')} path={`${path}/crossfall/toward`} />
        </>
      )}
      {element.crossfall && info?.live && (
        <Fact
          label={t('slab.edges')}
          note={t('slab.edgesNote')}
          value={t('slab.highLow', {
            high: format.text(info.top + half, 'level'),
            low: format.text(info.top - half, 'level'),
          })}
        />
      )}
    </>
  );
}

/** How the frost stands to the bed under it, and the bed that keeps it out, in one press. */
function SlabFrost({ element, index }: Own<Raft>) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const floors = useDesk((desk) => desk.plan.levels.floors.length);
  const takeoff = useTakeoff();
  const info = takeoff.elements[index];
  if (floors === 0) return <Small fontSize="sm">{t('slab.noFloor')}</Small>;
  if (!info?.slab) return <Small fontSize="sm">{t('slab.unknown')}</Small>;
  const { reach, bed, short, lifts, board, atEdge, side } = info.slab;
  const note = !lifts
    ? t(short > 0 ? 'slab.notLifted' : 'slab.enough')
    : t('slab.short', { short: format.text(short, 'size') });
  return (
    <>
      <Fact label={t('slab.reach')} value={format.text(reach, 'size')} />
      <Fact label={t('slab.needed')} note={note} value={format.text(bed, 'size')} />
      {atEdge && <Small>{t('slab.atEdge')}</Small>}
      {side && (
        <Fact
          label={t('slab.way')}
          note={
            side.width > 0
              ? t('slab.wayShort', { width: format.text(side.width, 'size') })
              : t('slab.wayEnough', { frost: format.text(side.frost, 'size') })
          }
          value={format.text(side.way, 'size')}
        />
      )}
      {board !== null && <Fact label={t('slab.board')} value={format.text(board, 'size')} />}
      {lifts && short > 0 && (
        <Button
          onClick={() =>
            store
              .getState()
              .edit((d) => thicken(d, element.id, bed - thicknessOf(info.bed), t('bedMaterial.crushed')))
          }
        >
          {t('slab.take')}
        </Button>
      )}
    </>
  );
}
