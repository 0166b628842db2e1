/** Drawings in and out, and the sheet to print. */
import { Flex } from '@chakra-ui/react';
import { DRAWN_LAYERS, drawnOf, setoutSheet } from '@cimiento/core';
import { Printer } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useJobId } from '../../state/jobId.ts';
import { useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button } from '../../ui/controls.tsx';
import { FilePick } from '../../ui/FilePick.tsx';
import { fileName, saveFile } from '../../ui/files.ts';
import { SheetLink } from '../../ui/SheetLink.tsx';
import { Panel } from '../fields.tsx';
import { ImportDrawing } from './ImportDrawing.tsx';

export function FilesPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const takeoff = useTakeoff();
  const jobId = useJobId();
  const [file, setFile] = useState<File | null>(null);
  const save = async (what: 'dxf' | 'geojson' | 'csv') => {
    // The writers are fetched when somebody wants a file.
    const { writeDxf, writeGeoJson, writeSetoutCsv } = await import('./drawingsOut.ts');
    const { plan } = store.getState();
    const origin = [plan.datum.east, plan.datum.north] as const;
    const name = fileName(plan.name, t('drawing.fileName'), '');
    if (what === 'dxf') {
      const layers = Object.fromEntries(DRAWN_LAYERS.map((layer) => [layer, t(`drawing.drawn.${layer}`)]));
      saveFile(
        `${name}.dxf`,
        writeDxf(drawnOf(plan, takeoff), layers as Parameters<typeof writeDxf>[1]),
        'image/vnd.dxf',
      );
    } else if (what === 'geojson')
      saveFile(`${name}.geojson`, writeGeoJson(drawnOf(plan, takeoff), origin), 'application/geo+json');
    else saveFile(`${name}.csv`, writeSetoutCsv(setoutSheet(plan, takeoff), origin));
  };
  return (
    <Panel fold="shut" title={t('drawing.panel')}>
      <Flex gap={1.5} wrap="wrap">
        <FilePick accept=".dxf,image/vnd.dxf" name="drawing" onFile={setFile}>
          {t('drawing.import')}
        </FilePick>
        {(['dxf', 'geojson', 'csv'] as const).map((what) => (
          <Button key={what} onClick={() => void save(what)}>
            {t(`drawing.save.${what}`)}
          </Button>
        ))}
        <Button asChild>
          <SheetLink href={`/jobs/${jobId}/set-out-sheet.pdf`} icon={<Printer size={15} aria-hidden />}>
            {t('drawing.sheet')}
          </SheetLink>
        </Button>
      </Flex>
      <ImportDrawing file={file} onClose={() => setFile(null)} />
    </Panel>
  );
}
