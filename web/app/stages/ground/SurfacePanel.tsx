/** The ground's surface: one level or a plane, or spot levels with breaklines. */
import { Box, Flex } from '@chakra-ui/react';
import { pointsOf, type SurfaceSpec } from '@cimiento/core';
import { writeSurveyCsv } from '@cimiento/formats';
import { Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround } from '../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { FilePick } from '../../ui/FilePick.tsx';
import { fileName, saveFile } from '../../ui/files.ts';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Panel, PlanField } from '../fields.tsx';
import { ImportSurvey } from './ImportSurvey.tsx';

type Spots = Extract<SurfaceSpec, { kind: 'spots' }>;
/** Spots listed with fields of their own; larger surveys are edited in their file. */
const MOST_LISTED = 40;

export const SurfacePanel = memo(function SurfacePanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const surface = useDesk((desk) => desk.plan.ground.surface);
  const model = useGround();
  const [file, setFile] = useState<File | null>(null);
  const turnInto = (kind: SurfaceSpec['kind']) => {
    if (kind === surface.kind) return;
    const { plan, edit } = store.getState();
    const places = [...plan.ground.logs.map((log) => log.at), ...plan.elements.flatMap((e) => pointsOf(e))];
    const xs = places.map(([x]) => x);
    const ys = places.map(([, y]) => y);
    const [x0, x1, y0, y1] = [
      Math.min(...xs) - 5,
      Math.max(...xs) + 5,
      Math.min(...ys) - 5,
      Math.max(...ys) + 5,
    ];
    const level = (x: number, y: number) => Math.round(model.level(x, y) * 1000) / 1000;
    edit((d) => {
      d.ground.surface =
        kind === 'plane'
          ? { kind, level: level(0, 0), gradeEast: 0, gradeNorth: 0 }
          : {
              kind,
              points: [
                [x0, y0, level(x0, y0)],
                [x1, y0, level(x1, y0)],
                [x1, y1, level(x1, y1)],
                [x0, y1, level(x0, y1)],
              ],
              breaklines: [],
            };
    });
  };
  return (
    <Panel fold="shut" title={t('ground.surface')} aside={t(`surface.aside.${surface.kind}`)}>
      <Choice
        label={t('surface.kind')}
        value={surface.kind}
        options={(['plane', 'spots'] as const).map((value) => ({
          value,
          label: t(`surface.kinds.${value}`),
        }))}
        onChange={turnInto}
      />
      {surface.kind === 'plane' ? (
        <>
          <PlanField path="/ground/surface/level" />
          <PlanField hint={t('ground.gradeHint')} path="/ground/surface/gradeEast" />
          <PlanField path="/ground/surface/gradeNorth" />
        </>
      ) : (
        <SpotList surface={surface} />
      )}
      <Flex gap={1.5} wrap="wrap">
        <FilePick accept=".csv,.txt,.xml,text/csv,application/xml" name="survey" onFile={setFile}>
          {t('surface.import')}
        </FilePick>
        {surface.kind === 'spots' && (
          <Button
            onClick={() =>
              saveFile(fileName(store.getState().plan.name, 'spots.csv'), writeSurveyCsv(surface))
            }
          >
            {t('surface.export')}
          </Button>
        )}
      </Flex>
      <ImportSurvey file={file} onClose={() => setFile(null)} />
    </Panel>
  );
});

function SpotList({ surface }: { surface: Spots }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { edit, look } = store.getState();
  const many = surface.points.length > MOST_LISTED;
  const remove = (i: number) =>
    edit((d) => {
      const now = d.ground.surface;
      if (now.kind !== 'spots' || now.points.length < 4) return;
      now.points.splice(i, 1);
      now.breaklines = now.breaklines
        .map((line) => line.filter((p) => p !== i).map((p) => (p > i ? p - 1 : p)))
        .filter((line) => line.length > 1);
    });
  return (
    <>
      <Small fontSize="sm">
        {t('surface.spots', {
          count: surface.points.length,
          low: format.text(Math.min(...surface.points.map((p) => p[2])), 'level'),
          high: format.text(Math.max(...surface.points.map((p) => p[2])), 'level'),
        })}
      </Small>
      {!many && (
        <details>
          <summary style={{ fontSize: '0.85rem', cursor: 'pointer' }}>{t('surface.list')}</summary>
          <Box maxH="16rem" overflowY="auto" pt={1} tabIndex={0}>
            {surface.points.map((_, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a spot is known by its number
              <Flex key={i} gap={1} align="end">
                <Box as="span" fontSize="xs" minW="1.4rem" pb={2.5}>
                  {i + 1}
                </Box>
                {(['setout.eastOf', 'setout.northOf', 'ground.level'] as const).map((label, k) => (
                  <PlanField key={label} stacked label={t(label)} path={`/ground/surface/points/${i}/${k}`} />
                ))}
                <Button
                  look="quiet"
                  px={1}
                  aria-label={t('surface.remove', { n: i + 1 })}
                  disabled={surface.points.length < 4}
                  onClick={() => remove(i)}
                >
                  <Trash2 size={14} aria-hidden />
                </Button>
              </Flex>
            ))}
          </Box>
        </details>
      )}
      <Button onClick={() => look({ placing: { what: 'spot' } })}>{t('surface.place')}</Button>
      <Breaklines surface={surface} />
    </>
  );
}

/** Breaklines as lists of spot numbers, one a line. */
function Breaklines({ surface }: { surface: Spots }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const written = surface.breaklines.map((line) => line.map((i) => i + 1).join(' ')).join('; ');
  const [text, setText] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  if (written.length > 600)
    return <Small>{t('surface.breaklinesMany', { count: surface.breaklines.length })}</Small>;
  const commit = (typed: string) => {
    const lines = typed
      .split(/[;\n]/)
      .map((line) => line.trim())
      .filter((line) => line !== '')
      .map((line) => line.split(/[\s,]+/).map((n) => Number(n) - 1));
    const good = lines.every(
      (line) =>
        line.length > 1 && line.every((i) => Number.isInteger(i) && i >= 0 && i < surface.points.length),
    );
    setWrong(!good);
    if (!good) return setText(typed);
    setText(null);
    store.getState().edit((d) => {
      if (d.ground.surface.kind === 'spots') d.ground.surface.breaklines = lines;
    });
  };
  return (
    <>
      <TextField
        label={t('surface.breaklines')}
        hint={t('surface.breaklinesHint')}
        value={text ?? written}
        onChange={(event) => setText(event.target.value)}
        onBlur={(event) => commit(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && commit(event.currentTarget.value)}
      />
      {wrong && <FieldError role="alert">{t('surface.breaklinesWrong')}</FieldError>}
    </>
  );
}
