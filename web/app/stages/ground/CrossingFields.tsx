/** A pipe or cable that lies in what is cast: what is done with it, how big, how high, by whose word. */
import { Box } from '@chakra-ui/react';
import { CROSSINGS, type Hazard, startOf } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { PlanField } from '../fields.tsx';

export function CrossingFields({ hazard, index }: { hazard: Hazard; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit, plan } = useDeskStore().getState();
  const elements = useDesk((desk) => desk.plan.elements);
  const own = useTakeoff().crossings.filter((one) => one.hazard === hazard.id);
  const { crossing } = hazard;
  // Where nothing is cast over its line there is nothing to settle; what was settled stays to be seen.
  if (own.length === 0 && crossing === null) return null;
  const path = `/ground/hazards/${index}/crossing`;
  const opens = crossing?.how === 'sleeve' || crossing?.how === 'leaveOut';
  return (
    <Box data-crossing={hazard.id} display="grid" gap={1.5}>
      <Choice
        label={t('crossing.how')}
        value={crossing?.how ?? 'open'}
        options={[
          ...(crossing === null ? [{ value: 'open' as const, label: t('crossing.open') }] : []),
          ...CROSSINGS.map((value) => ({ value, label: t(`crossing.hows.${value}`) })),
        ]}
        onChange={(how) => {
          if (how === 'open') return;
          edit((d) => {
            const to = d.ground.hazards[index]!;
            to.crossing = {
              level: null,
              size: startOf('/ground/hazards/*/crossing/size', plan.system),
              opening: startOf('/ground/hazards/*/crossing/opening', plan.system),
              who: '',
              when: '',
              ...to.crossing,
              how,
            };
          });
        }}
      />
      {crossing && (
        <>
          <PlanField path={`${path}/level`} optional />
          <PlanField path={`${path}/size`} />
          {opens && <PlanField path={`${path}/opening`} />}
          {(['who', 'when'] as const).map((field) => (
            <TextField
              key={field}
              label={t(`crossing.${field}`)}
              value={crossing[field]}
              maxLength={field === 'who' ? 80 : 40}
              onChange={(event) =>
                edit((d) => {
                  d.ground.hazards[index]!.crossing![field] = event.target.value;
                }, `crossing-${field}:${hazard.id}`)
              }
            />
          ))}
        </>
      )}
      <Box as="ul" fontSize="sm">
        {own.map(({ owner, part, length, lies, leftOut }) => (
          <li key={`${owner}${part}`} data-lies={lies ?? 'unknown'}>
            {[
              t('crossing.row', {
                part: t(`crossing.${part}`),
                name: elements[owner]?.name ?? '',
                length: format.text(length, 'length'),
                lies: t(`crossing.${lies ?? 'unknown'}`),
              }),
              ...(leftOut > 0 ? [t('crossing.leaves', { volume: format.text(leftOut, 'volume') })] : []),
            ].join(' · ')}
          </li>
        ))}
      </Box>
    </Box>
  );
}
