/** A drawing turned into footings: its layers picked, its unit asked when it does not say. */
import { Box, Flex } from '@chakra-ui/react';
import { type Element, FIELDS, newBox, newRaft, newStrip, type Plan, type Problem } from '@cimiento/core';
import { DXF_UNITS, type DxfLook, type DxfShape, type DxfUnit } from '@cimiento/formats';
import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDeskStore } from '../../state/store.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { fileProblemText } from '../../ui/fileProblems.ts';
import { useFormat } from '../../ui/format.tsx';
import { inTime } from '../../ui/limit.ts';
import { Modal } from '../../ui/Modal.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Toggle } from '../fields.tsx';
import type { DrawingWorker } from './drawing.worker.ts';

const BECOMES = ['trenches', 'slabs', 'boxes', 'boundary'] as const;
type Becomes = (typeof BECOMES)[number];
type Point = readonly [number, number];

export function ImportDrawing({ file, onClose }: { file: File | null; onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Modal open={file !== null} title={t('drawing.title')} onClose={onClose} width="34rem">
      {file && <Steps file={file} onClose={onClose} />}
    </Modal>
  );
}

/** Brings shapes near the job's origin when they lie beyond what a plan holds; rounds to 0.1 mm. */
function settled(shapes: readonly DxfShape[], origin: Point): { shapes: DxfShape[]; moved: Point | null } {
  const { max } = FIELDS['/elements/*/at/0'];
  const all = shapes.flatMap((shape) => shape.points);
  const [x0, y0] = [Math.min(...all.map((p) => p[0])), Math.min(...all.map((p) => p[1]))];
  const inReach = (o: Point) => all.every(([x, y]) => Math.abs(x - o[0]) <= max && Math.abs(y - o[1]) <= max);
  const to: Point = inReach(origin) ? origin : inReach([0, 0]) ? [0, 0] : [Math.floor(x0), Math.floor(y0)];
  const round = (value: number) => Math.round(value * 1e4) / 1e4;
  return {
    shapes: shapes.map((shape) => ({
      ...shape,
      points: shape.points.map(([x, y]) => [round(x - to[0]), round(y - to[1])] as const),
    })),
    moved: to[0] === 0 && to[1] === 0 ? null : to,
  };
}

function elementsOf(plan: Plan, shapes: readonly DxfShape[], becomes: Becomes, width: number): Element[] {
  let now = plan;
  const out: Element[] = [];
  for (const shape of shapes) {
    if (becomes !== 'trenches' && (!shape.closed || shape.points.length < 3)) continue;
    const points = shape.points.slice(0, RANGE_POINTS);
    const element =
      becomes === 'slabs'
        ? newRaft(now, [...points])
        : becomes === 'boxes'
          ? newBox(now, [...points])
          : { ...newStrip(now, [...points], shape.closed), width };
    out.push(element);
    now = { ...now, elements: [...now.elements, element] };
  }
  return out;
}
/** Corners an element may have. */
const RANGE_POINTS = 200;

function Steps({ file, onClose }: { file: File; onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [look, setLook] = useState<DxfLook | null>(null);
  const [layers, setLayers] = useState<readonly string[]>([]);
  const [unit, setUnit] = useState<DxfUnit | null>(null);
  const [becomes, setBecomes] = useState<Becomes>('trenches');
  const [width, setWidth] = useState(format.system === 'metric' ? 0.6 : 0.6096);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(true);
  const text = useRef('');
  const worker = useRef<{ raw: Worker; api: Remote<DrawingWorker> } | null>(null);
  useEffect(() => {
    let stale = false;
    const raw = new Worker(new URL('./drawing.worker.ts', import.meta.url), { type: 'module' });
    const api = wrap<DrawingWorker>(raw);
    worker.current = { raw, api };
    file.text().then(async (read) => {
      text.current = read;
      const looked = await inTime(raw, api.look(read));
      if (stale) return;
      setBusy(false);
      if (!looked.ok) return setProblem(looked.problem);
      setLook(looked.look);
      setUnit(looked.look.unit);
      setLayers(looked.look.layers.length === 1 ? looked.look.layers.map((layer) => layer.name) : []);
    });
    return () => {
      stale = true;
      raw.terminate();
    };
  }, [file]);

  const take = async () => {
    if (!unit || !worker.current) return;
    setProblem(null);
    setBusy(true);
    const { raw, api } = worker.current;
    const read = await inTime(raw, api.read(text.current, [...layers], unit));
    setBusy(false);
    if (!read.ok) return setProblem(read.problem);
    const { plan, edit, pick } = store.getState();
    const { shapes, moved } = settled(read.shapes, [plan.datum.east, plan.datum.north]);
    if (becomes === 'boundary') {
      const plot = shapes.find((shape) => shape.closed && shape.points.length > 2);
      if (!plot) return setProblem({ code: 'dxfOpen', path: '' });
      edit((d) => {
        d.site.boundary = plot.points.slice(0, RANGE_POINTS).map(([x, y]) => [x, y] as const);
      });
      return onClose();
    }
    const elements = elementsOf(plan, shapes, becomes, width);
    if (elements.length === 0) return setProblem({ code: 'dxfOpen', path: '' });
    edit((d) => {
      d.elements.push(...elements);
      if (moved) [d.datum.east, d.datum.north] = moved;
    });
    pick(elements[0]!.id);
    onClose();
  };

  const size = look && unit ? look.size * DXF_UNITS[unit] : null;
  return (
    <Flex direction="column" gap={2}>
      <Small fontSize="sm">{file.name}</Small>
      {look && (
        <>
          <Box as="fieldset" borderWidth="1px" borderStyle="solid" borderColor="rule" p={2}>
            <legend>
              <Small fontSize="sm">{t('drawing.layers')}</Small>
            </legend>
            <Box maxH="12rem" overflowY="auto">
              {look.layers.map((layer) => (
                <Toggle
                  key={layer.name}
                  label={t('drawing.layer', { name: layer.name, count: layer.shapes })}
                  on={layers.includes(layer.name)}
                  onChange={(on) =>
                    setLayers(on ? [...layers, layer.name] : layers.filter((name) => name !== layer.name))
                  }
                />
              ))}
            </Box>
          </Box>
          <Choice
            label={t(look.unit ? 'drawing.unitSaid' : 'drawing.unitAsked')}
            value={unit ?? ''}
            options={[
              ...(unit === null ? [{ value: '' as const, label: t('drawing.choose') }] : []),
              ...(Object.keys(DXF_UNITS) as DxfUnit[]).map((value) => ({
                value,
                label: t(`drawing.units.${value}`),
              })),
            ]}
            onChange={(next) => setUnit(next === '' ? null : next)}
          />
          {size !== null && (
            <Small fontSize="sm">{t('drawing.size', { size: format.text(size, 'length') })}</Small>
          )}
          <Choice
            label={t('drawing.becomes')}
            value={becomes}
            options={BECOMES.map((value) => ({ value, label: t(`drawing.${value}`) }))}
            onChange={setBecomes}
          />
          {becomes === 'trenches' && (
            <QuantityField
              label={t('drawing.width')}
              range="/elements/*/width"
              value={width}
              onCommit={(next) => next !== null && setWidth(next)}
            />
          )}
          {look.skipped > 0 && <Small>{t('drawing.skipped', { count: look.skipped })}</Small>}
        </>
      )}
      {busy && <Small role="status">{t('drawing.reading')}</Small>}
      {problem && <FieldError role="alert">{fileProblemText(t, format, problem)}</FieldError>}
      <Flex gap={2}>
        <Button
          look="main"
          disabled={busy || !look || !unit || layers.length === 0}
          onClick={() => void take()}
        >
          {t('drawing.use')}
        </Button>
        <Button onClick={onClose}>{t('survey.leave')}</Button>
      </Flex>
    </Flex>
  );
}
