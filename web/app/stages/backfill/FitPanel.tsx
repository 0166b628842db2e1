/** Which soil is fit to go back: what was found in it, its moisture, what somebody decided. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type FillSoil, type Fitness, NEVER_FILL, SOIL_USES } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { type Draft, useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { soilName } from '../../ui/words.ts';
import { Panel, PlanField, Toggle } from '../fields.tsx';

/** What is said of a soil as fill; made when something is said first. */
function saidOf(draft: Draft, soil: string): FillSoil {
  const list = draft.backfill.soils;
  const known = list.find((own) => own.soil === soil);
  if (known) return known;
  list.push({ soil, use: null, moisture: null, optimum: null, days: null, where: '', found: [] });
  return list.at(-1)!;
}

export function FitPanel() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const covered = useDesk((desk) => desk.plan.backfill.covered);
  const { fits } = useTakeoff().spoil;
  return (
    <Panel fold="shut" title={t('backfill.fit')}>
      <Small>{t('backfill.fitHint')}</Small>
      {fits
        .filter(({ use }) => use !== 'topsoil')
        .map((fit) => (
          <SoilFit key={fit.soil.layer.id} fit={fit} />
        ))}
      <Toggle
        label={t('backfill.covered')}
        on={covered}
        onChange={(on) =>
          edit((d) => {
            d.backfill.covered = on;
          })
        }
      />
    </Panel>
  );
}

function SoilFit({ fit }: { fit: Fitness }) {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const plan = useDesk((desk) => desk.plan);
  const { id } = fit.soil.layer;
  const at = plan.backfill.soils.findIndex((own) => own.soil === id);
  const said = plan.backfill.soils[at];
  const put = (change: (own: FillSoil & { -readonly [K in keyof FillSoil]: FillSoil[K] }) => void) =>
    edit((d) => change(saidOf(d, id)));
  return (
    <details data-fit-soil={id}>
      <Box as="summary" cursor="pointer" fontSize="sm" py={1}>
        <strong>{soilName(t, plan, fit.soil.layer)}</strong>: {t(`backfill.uses.${fit.use}`)} ·{' '}
        {t(`backfill.why.${fit.why}`)}
      </Box>
      <Stack gap={1.5} py={1}>
        <Choice
          label={t('backfill.use')}
          value={said?.use ?? ''}
          options={[
            { value: '' as const, label: t('backfill.byItself', { use: t(`backfill.uses.${fit.use}`) }) },
            ...SOIL_USES.map((value) => ({ value, label: t(`backfill.uses.${value}`) })),
          ]}
          onChange={(use) =>
            put((own) => {
              own.use = use === '' ? null : use;
            })
          }
        />
        {said ? (
          <>
            <PlanField path={`/backfill/soils/${at}/moisture`} optional />
            <PlanField path={`/backfill/soils/${at}/optimum`} optional />
            {(fit.use === 'dry' || said.days !== null) && (
              <>
                <PlanField path={`/backfill/soils/${at}/days`} optional />
                <TextField
                  label={t('backfill.where')}
                  value={said.where}
                  maxLength={80}
                  onChange={({ target }) =>
                    edit((d) => {
                      saidOf(d, id).where = target.value;
                    }, `fit-where:${id}`)
                  }
                />
              </>
            )}
          </>
        ) : (
          <Button size="sm" look="quiet" onClick={() => put(() => {})}>
            {t('backfill.moisture')}
          </Button>
        )}
        <Flex gap={2} wrap="wrap" align="center" fontSize="sm">
          {t('backfill.found')}:
          {NEVER_FILL.map((what) => (
            <Toggle
              key={what}
              label={t(`backfill.never.${what}`)}
              on={said?.found.includes(what) ?? false}
              onChange={(on) =>
                put((own) => {
                  own.found = on ? [...own.found, what] : own.found.filter((one) => one !== what);
                })
              }
            />
          ))}
        </Flex>
      </Stack>
    </details>
  );
}
