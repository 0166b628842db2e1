/** Spot levels from a file: what the file leaves open is asked, the rest happens in a worker. */
import { Box, Flex } from '@chakra-ui/react';
import type { Problem, TakenSurvey } from '@cimiento/core';
import { lookAtSurvey, ORDERS, type Order, type SurveyLook, type SurveyUnit } from '@cimiento/formats';
import { proxy, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDeskStore } from '../../state/store.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { fileProblemText } from '../../ui/fileProblems.ts';
import { useFormat } from '../../ui/format.tsx';
import { inTime } from '../../ui/limit.ts';
import { Modal } from '../../ui/Modal.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { Fact } from '../fields.tsx';
import type { SurveyWorker } from './survey.worker.ts';

interface Chosen {
  readonly name: string;
  readonly text: string;
  readonly xml: boolean;
  readonly look: SurveyLook | null;
}

export function ImportSurvey({ file, onClose }: { file: File | null; onClose: () => void }) {
  const { t } = useTranslation();
  return (
    <Modal open={file !== null} title={t('survey.title')} onClose={onClose} width="34rem">
      {file && <Steps file={file} onClose={onClose} />}
    </Modal>
  );
}

function Steps({ file, onClose }: { file: File; onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [order, setOrder] = useState<Order>('ENZ');
  const [unit, setUnit] = useState<SurveyUnit>(format.system === 'metric' ? 'm' : 'ft');
  const [problem, setProblem] = useState<Problem | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [taken, setTaken] = useState<TakenSurvey | null>(null);
  const worker = useRef<Worker | null>(null);
  useEffect(() => () => worker.current?.terminate(), []);

  useEffect(() => {
    let stale = false;
    file.text().then((text) => {
      if (stale) return;
      const xml = /^\uFEFF?\s*</.test(text);
      if (xml) return setChosen({ name: file.name, text, xml, look: null });
      const looked = lookAtSurvey(text);
      if (!looked.ok) return setProblem(looked.problem);
      if (looked.look.order) setOrder(looked.look.order);
      setChosen({ name: file.name, text, xml, look: looked.look });
    });
    return () => {
      stale = true;
    };
  }, [file]);

  const read = async () => {
    if (!chosen) return;
    setProblem(null);
    setProgress(0);
    worker.current?.terminate();
    worker.current = new Worker(new URL('./survey.worker.ts', import.meta.url), { type: 'module' });
    const { datum } = store.getState().plan;
    const result = await inTime(
      worker.current,
      wrap<SurveyWorker>(worker.current).take(
        chosen.text,
        chosen.xml,
        chosen.look?.order === null ? null : order,
        unit,
        [datum.east, datum.north],
        proxy(setProgress),
      ),
    );
    setProgress(null);
    if (result.ok) setTaken(result.taken);
    else setProblem(result.problem);
  };
  const use = () => {
    if (!taken) return;
    store.getState().edit((d) => {
      d.ground.surface = taken.surface;
      d.datum.east = taken.origin[0];
      d.datum.north = taken.origin[1];
    });
    onClose();
  };

  if (taken)
    return (
      <Flex direction="column" gap={2}>
        <Fact label={t('survey.read')} value={String(taken.read)} />
        <Fact
          label={t('survey.kept')}
          value={String(taken.kept)}
          {...(taken.kept < taken.read - taken.doubled && {
            note: t('survey.thinned', { off: format.text(taken.off, 'size') }),
          })}
        />
        {taken.doubled > 0 && <Fact label={t('survey.doubled')} value={String(taken.doubled)} />}
        <Fact label={t('survey.triangles')} value={String(taken.triangles)} />
        <Fact
          label={t('survey.levels')}
          value={`${format.parts(taken.low, 'level').number} – ${format.text(taken.high, 'level')}`}
        />
        {(taken.origin[0] !== 0 || taken.origin[1] !== 0) && (
          <Small fontSize="sm">
            {t('survey.moved', {
              east: format.text(taken.origin[0], 'length', { decimals: 0 }),
              north: format.text(taken.origin[1], 'length', { decimals: 0 }),
            })}
          </Small>
        )}
        <Flex gap={2}>
          <Button look="main" onClick={use}>
            {t('survey.use')}
          </Button>
          <Button onClick={onClose}>{t('survey.leave')}</Button>
        </Flex>
      </Flex>
    );
  return (
    <Flex direction="column" gap={2}>
      <Small fontSize="sm">{file.name}</Small>
      {chosen?.look && (
        <>
          <Box as="pre" fontSize="xs" bg="paper" p={2} overflowX="auto" m={0}>
            {chosen.look.first.map((row) => row.join('   ')).join('\n')}
          </Box>
          {chosen.look.order !== null && (
            <Choice
              label={t('survey.order')}
              value={order}
              width="15rem"
              options={ORDERS.map((value) => ({ value, label: t(`survey.orders.${value}`) }))}
              onChange={setOrder}
            />
          )}
          <Choice
            label={t('survey.unit')}
            value={unit}
            width="15rem"
            options={(['m', 'ft', 'usft'] as const).map((value) => ({
              value,
              label: t(`survey.units.${value}`),
            }))}
            onChange={setUnit}
          />
        </>
      )}
      {chosen?.xml && <Small fontSize="sm">{t('survey.xml')}</Small>}
      {progress !== null && (
        <Box>
          <Box
            as="progress"
            w="full"
            {...{ max: 1, value: progress }}
            aria-label={t('survey.working')}
            data-progress
          />
          <Small>{t('survey.working')}</Small>
        </Box>
      )}
      {problem && <FieldError role="alert">{fileProblemText(t, format, problem)}</FieldError>}
      <Flex gap={2}>
        <Button look="main" disabled={!chosen || progress !== null} onClick={() => void read()}>
          {t('survey.go')}
        </Button>
        <Button onClick={onClose}>{t('survey.leave')}</Button>
      </Flex>
    </Flex>
  );
}
