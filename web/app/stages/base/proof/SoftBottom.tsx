/** A soft bottom taken out and put back better: how thick, by what an engineer allows on the soft layer. */
import {
  BED_MATERIAL_IDS,
  type BedMaterialId,
  type Element,
  replacementUnder,
  sizesOf,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDeskStore } from '../../../state/store.ts';
import { useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { Panel } from '../../fields.tsx';
import { replaceUnder } from '../beds.ts';

const FILLS = BED_MATERIAL_IDS.filter((id) => id !== 'own');

export function SoftBottom({ element, index }: { element: Element; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const info = useTakeoff().elements[index];
  const [load, setLoad] = useState<number | null>(null);
  const [allowable, setAllowable] = useState<number | null>(null);
  const [fixed, setFixed] = useState<number | null>(null);
  const [who, setWho] = useState('');
  const [material, setMaterial] = useState<BedMaterialId>('crushed');
  if (!info?.live || info.bays) return null;
  const { along, across } = sizesOf(element);
  const strip = element.kind === 'strip';
  // Load spreads through the bed there is as through what is put back below it.
  const bed = info.underside - info.formation;
  const found =
    load !== null && allowable !== null
      ? replacementUnder({ load, allowable, width: across, length: strip ? null : along })
      : null;
  const more = fixed ?? (found ? Math.max(0, found.thickness - bed) : null);
  return (
    <Panel fold="shut" title={t('proof.soft')}>
      <QuantityField optional label={t('proof.softLoad')} range="bearing" value={load} onCommit={setLoad} />
      <QuantityField
        optional
        label={t('proof.softAllowable')}
        range="bearing"
        value={allowable}
        onCommit={setAllowable}
      />
      <QuantityField
        optional
        label={t('proof.softFixed')}
        hint={t('proof.softFixedHint')}
        range="putBack"
        value={fixed}
        onCommit={setFixed}
      />
      <TextField
        label={t('proof.softWho')}
        value={who}
        maxLength={40}
        onChange={(event) => setWho(event.target.value)}
      />
      <Choice
        label={t('proof.softMaterial')}
        value={material}
        options={FILLS.map((value) => ({ value, label: t(`bedMaterial.${value}`) }))}
        onChange={setMaterial}
      />
      {found && (
        <Small fontSize="sm" data-replacement={found.thickness}>
          {found.thickness === 0
            ? t('proof.softNone')
            : t('proof.softResult', {
                thickness: format.text(found.thickness, 'size'),
                width: format.text(found.width, 'length'),
                stress: format.text(found.stress, 'pressure'),
                bed: format.text(Math.min(bed, found.thickness), 'size'),
                more: format.text(Math.max(0, found.thickness - bed), 'size'),
              })}
        </Small>
      )}
      <Button
        disabled={more === null || more <= 0 || who.trim() === ''}
        onClick={() => {
          if (more === null || more <= 0) return;
          const said =
            fixed === null && allowable !== null
              ? t('proof.softName', { allowable: format.text(allowable, 'pressure'), who: who.trim() })
              : t('proof.softNameFixed', { who: who.trim() });
          store.getState().edit((d) => replaceUnder(d, element.id, more, material, said));
        }}
      >
        {t('proof.softTake')}
      </Button>
      <Small>{t('proof.softNote')}</Small>
    </Panel>
  );
}
