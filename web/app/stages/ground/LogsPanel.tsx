/** Trial-pit logs: the list, the picked one's place and water, CSV in and out. */
import { Box, Flex } from '@chakra-ui/react';
import type { Problem } from '@cimiento/core';
import { readLogsCsv, writeLogsCsv } from '@cimiento/formats';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button, FieldError } from '../../ui/controls.tsx';
import { FilePick } from '../../ui/FilePick.tsx';
import { fileName, saveFile } from '../../ui/files.ts';
import { useFormat } from '../../ui/format.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { Panel, PlanField, Toggle } from '../fields.tsx';
import { addLog } from './logs.ts';

export function LogsPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const logs = useDesk((desk) => desk.plan.ground.logs);
  const picked = useDesk((desk) => desk.view.log);
  const [problem, setProblem] = useState<Problem | null>(null);
  const index = Math.max(
    0,
    logs.findIndex((log) => log.id === picked),
  );
  const pick = (id: string) => {
    const { look, view } = store.getState();
    look({ log: id, lower: { ...view.lower, ground: 'pit' } });
  };
  const add = () => {
    const last = logs[logs.length - 1]?.at ?? [0, 0];
    let id = '';
    store.getState().edit((d) => {
      id = addLog(d, [last[0] + 5, last[1]]);
    });
    pick(id);
  };
  const take = async (file: File) => {
    const read = readLogsCsv(await file.text(), store.getState().plan.ground.soils);
    if (!read.ok) return setProblem(read.problem);
    setProblem(null);
    store.getState().edit((d) => {
      d.ground.soils = read.soils;
      d.ground.logs = read.logs;
      d.ground.knownTo = Math.max(
        d.ground.knownTo,
        ...read.logs.flatMap((log) => log.layers.map((layer) => layer.top + 0.5)),
      );
    });
    const [first] = read.logs;
    if (first) pick(first.id);
  };
  return (
    <Panel title={t('logs.title')} aside={t('logs.count', { count: logs.length })}>
      <Box as="ul" borderWidth="1px" borderStyle="solid" borderColor="rule" maxH="11rem" overflowY="auto">
        {logs.map((log) => (
          <li key={log.id}>
            <Button
              look="quiet"
              w="full"
              justifyContent="space-between"
              borderRadius={0}
              aria-pressed={log.id === logs[index]?.id}
              bg={log.id === logs[index]?.id ? 'chalkWash' : 'transparent'}
              onClick={() => pick(log.id)}
            >
              <span>{log.name}</span>
              <Box as="span" fontFamily="figure">
                {t('logs.line', { count: log.layers.length, depth: format.text(log.bottom, 'length') })}
              </Box>
            </Button>
          </li>
        ))}
      </Box>
      <Flex gap={1.5} wrap="wrap">
        <Button onClick={add}>{t('logs.add')}</Button>
        <Button onClick={() => store.getState().look({ placing: { what: 'log' } })}>{t('logs.place')}</Button>
      </Flex>
      {logs[index] && <Picked index={index} />}
      <Flex gap={1.5} wrap="wrap">
        <FilePick accept=".csv,text/csv" name="logs" onFile={(file) => void take(file)}>
          {t('logs.import')}
        </FilePick>
        <Button
          onClick={() => {
            const { plan } = store.getState();
            saveFile(fileName(plan.name, 'logs.csv'), writeLogsCsv(plan.ground));
          }}
        >
          {t('logs.export')}
        </Button>
      </Flex>
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
    </Panel>
  );
}

function Picked({ index }: { index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const logs = useDesk((desk) => desk.plan.ground.logs);
  const log = logs[index]!;
  const { edit } = store.getState();
  return (
    <Flex direction="column" gap={1.5} borderLeftWidth="3px" borderStyle="solid" borderColor="chalk" pl={2}>
      <Flex gap={1.5} align="end">
        <Box flex="1">
          <TextField
            label={t('logs.name')}
            value={log.name}
            maxLength={80}
            onChange={(event) => {
              if (event.target.value)
                edit((d) => {
                  d.ground.logs[index]!.name = event.target.value;
                }, `log-name:${log.id}`);
            }}
          />
        </Box>
        <Button
          look="quiet"
          aria-label={t('logs.remove', { name: log.name })}
          disabled={logs.length === 1}
          onClick={() => {
            edit((d) => {
              d.ground.logs.splice(index, 1);
            });
            store.getState().look({ log: null });
          }}
        >
          <Trash2 size={15} aria-hidden />
        </Button>
      </Flex>
      <Flex gap={2}>
        <PlanField stacked label={t('setout.eastOf')} path={`/ground/logs/${index}/at/0`} />
        <PlanField stacked label={t('setout.northOf')} path={`/ground/logs/${index}/at/1`} />
      </Flex>
      <PlanField hint={t('logs.below')} path={`/ground/logs/${index}/strike`} optional />
      <PlanField hint={t('logs.below')} path={`/ground/logs/${index}/standing`} optional />
      {(log.standing !== null || log.strike !== null) && (
        <Toggle
          label={t('logs.perched')}
          on={log.perched}
          onChange={(on) =>
            edit((d) => {
              d.ground.logs[index]!.perched = on;
            })
          }
        />
      )}
      <TextField
        label={t('logs.note')}
        value={log.note}
        maxLength={400}
        onChange={(event) =>
          edit((d) => {
            d.ground.logs[index]!.note = event.target.value;
          }, `log-note:${log.id}`)
        }
      />
    </Flex>
  );
}
