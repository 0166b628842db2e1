/** Filling back: what is picked first, then where the soil goes; the rest opens from its line. */
import { Box } from '@chakra-ui/react';
import type { Takeoff } from '@cimiento/core';
import { Printer } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useJobId } from '../../state/jobId.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small, Th } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { SheetLink } from '../../ui/SheetLink.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact, Panel, Toggle } from '../fields.tsx';
import { AfterPanel } from './AfterPanel.tsx';
import { FillPanel } from './FillPanel.tsx';
import { FitPanel } from './FitPanel.tsx';
import { HowPanel } from './HowPanel.tsx';
import { IslandsPanel } from './IslandsPanel.tsx';
import { SchoolsPanel } from './SchoolsPanel.tsx';
import { StripsPanel } from './StripsPanel.tsx';
import { useFilling } from './useFilling.ts';

export function BackfillPanel() {
  const { t } = useTranslation();
  const jobId = useJobId();
  return (
    <>
      <FillPanel />
      <SoilPanel />
      <HowPanel />
      <FitPanel />
      <StripsPanel />
      <IslandsPanel />
      <AfterPanel />
      <SchoolsPanel />
      <Button asChild mb={4}>
        <SheetLink href={`/jobs/${jobId}/backfill-sheet.pdf`} icon={<Printer size={15} aria-hidden />}>
          {t('backfill.sheet')}
        </SheetLink>
      </Button>
    </>
  );
}

/** Less of a soil is none, m³. */
const NONE = 0.05;

function SoilPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit } = useDeskStore().getState();
  const spoil = useDesk((desk) => desk.plan.spoil);
  const filled = useDesk((desk) => desk.plan.backfill.with);
  const takeoff = useTakeoff();
  const { shortfall, broughtIn, need, topsoilBack } = takeoff.spoil;
  const { topsoil } = useFilling();
  return (
    <Panel title={t('backfill.spoil')} aside={format.parts(0, 'volume').unit}>
      <SoilTable spoil={takeoff.spoil} />
      <Fact label={t('backfill.void')} value={format.text(takeoff.spoil.backfill, 'volume')} />
      {shortfall > 0 && (
        <Fact
          label={t('backfill.short')}
          note={t('backfill.shortNote', {
            loose: format.text(broughtIn.loose, 'volume'),
            count: broughtIn.loads,
          })}
          value={format.text(shortfall, 'volume')}
        />
      )}
      <details>
        <Box as="summary" cursor="pointer" fontSize="sm" py={1}>
          {t('backfill.with')}: {t(`backfill.withs.${filled}`)}
        </Box>
        <Choice
          label={t('backfill.with')}
          value={filled}
          options={(['own', 'bringIn'] as const).map((value) => ({
            value,
            label: t(`backfill.withs.${value}`),
          }))}
          onChange={(value) =>
            edit((d) => {
              d.backfill.with = value;
            })
          }
        />
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
        {topsoil > 0 && (
          <Small>{t('backfill.topsoilLies', { thickness: format.text(topsoil, 'size') })}</Small>
        )}
        {need.topsoil !== null && need.topsoil - topsoilBack > NONE && (
          <Small color="held">
            {t('backfill.topsoilShort', { volume: format.text(need.topsoil - topsoilBack, 'volume') })}
          </Small>
        )}
      </details>
    </Panel>
  );
}

const COLUMNS = ['bank', 'loose', 'kept', 'hauled'] as const;

function SoilTable({ spoil: { strata, fits } }: Pick<Takeoff, 'spoil'>) {
  const { t } = useTranslation();
  const format = useFormat();
  const volume = (value: number) => format.parts(value, 'volume').number;
  return (
    <Box as="table" fontSize="sm" w="full">
      <thead>
        <tr>
          {(['soil', ...COLUMNS] as const).map((key) => (
            <Th
              scope="col"
              key={key}
              textAlign={key === 'soil' ? 'left' : 'right'}
              pl={key === 'soil' ? 0 : 2}
              fontWeight={500}
              color="soft"
            >
              {t(`backfill.${key}`)}
            </Th>
          ))}
        </tr>
      </thead>
      <Box as="tbody" fontFamily="figure" fontSize="md">
        {strata.map((s, i) =>
          s.bank > NONE ? (
            <tr key={s.soil.layer.id} data-fit={fits[i]!.use}>
              <Th scope="row" textAlign="left" fontFamily="body" fontWeight={400} fontSize="sm">
                {s.soil.layer.name || t(`soil.${s.soil.layer.kind}`)}
                <Small>{t(`backfill.uses.${fits[i]!.use}`)}</Small>
              </Th>
              {[s.bank, s.loose, s.keptBank, s.hauledBank].map((value, k) => (
                <Box as="td" key={COLUMNS[k]} textAlign="right" pl={2} verticalAlign="top">
                  {volume(value)}
                </Box>
              ))}
            </tr>
          ) : null,
        )}
      </Box>
    </Box>
  );
}
