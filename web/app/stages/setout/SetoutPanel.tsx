/** Where do I dig: strips by typed runs, pads by centre and size, and the list of both. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { FIELDS, isRun, newPad, newStrip, type Pad, parseRuns, type RunElement } from '@cimiento/core';
import { useId, useState } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, FieldError, Input, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { Panel, PlanField, Toggle } from '../fields.tsx';
import { AddShape } from './AddShape.tsx';
import { FilesPanel } from './FilesPanel.tsx';
import { OutlinePlace, RampPlace } from './ShapePlace.tsx';
import { StringsPanel } from './StringsPanel.tsx';
import { parseSizes } from './sizes.ts';

export function SetoutPanel() {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const index = plan.elements.findIndex((e) => e.id === picked);
  const element = plan.elements[index];
  return (
    <>
      <FilesPanel />
      <Panel title={t('setout.list')}>
        <List />
      </Panel>
      {element && isRun(element) && <RunPlace run={element} index={index} />}
      {element?.kind === 'pad' && <PadPlace pad={element} index={index} />}
      {(element?.kind === 'raft' || element?.kind === 'box') && (
        <OutlinePlace shape={element} index={index} />
      )}
      {element?.kind === 'ramp' && <RampPlace ramp={element} index={index} />}
      <AddStrip />
      <AddPad />
      <AddShape />
      <StringsPanel />
    </>
  );
}

function List() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const takeoff = useTakeoff();
  if (plan.elements.length === 0) return <Small fontSize="sm">{t('plan.empty')}</Small>;
  return (
    <Box as="ul" maxH="15rem" overflowY="auto" borderWidth="1px" borderStyle="solid" borderColor="rule">
      {plan.elements.map((element, i) => (
        <Box as="li" key={element.id}>
          <Button
            look="quiet"
            w="full"
            justifyContent="space-between"
            borderRadius={0}
            aria-pressed={picked === element.id}
            bg={picked === element.id ? 'chalkWash' : 'transparent'}
            onClick={() => store.getState().pick(element.id)}
          >
            <span>{element.name}</span>
            <Box as="span" fontFamily="figure">
              {format.text(takeoff.elements[i]?.length ?? 0, 'length')}
            </Box>
          </Button>
        </Box>
      ))}
    </Box>
  );
}

function RunPlace({ run, index }: { run: RunElement; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  return (
    <Panel title={t('setout.points', { name: run.name })} aside={t('setout.fromOrigin')}>
      {run.points.map((_point, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the run
        <Flex gap={2} key={i}>
          <PlanField
            stacked
            path={`/elements/${index}/points/${i}/0`}
            label={t('setout.east', { n: i + 1 })}
          />
          <PlanField
            stacked
            path={`/elements/${index}/points/${i}/1`}
            label={t('setout.north', { n: i + 1 })}
          />
        </Flex>
      ))}
      {run.points.length > 2 && (
        <Toggle
          label={t('setout.closed')}
          on={run.closed}
          onChange={(on) =>
            store.getState().edit((d) => {
              const e = d.elements[index];
              if (e && isRun(e)) e.closed = on;
            })
          }
        />
      )}
    </Panel>
  );
}

function PadPlace({ pad, index }: { pad: Pad; index: number }) {
  const { t } = useTranslation();
  return (
    <Panel title={t('setout.centre', { name: pad.name })} aside={t('setout.fromOrigin')}>
      <Flex gap={2}>
        <PlanField stacked path={`/elements/${index}/at/0`} label={t('setout.eastOf')} />
        <PlanField stacked path={`/elements/${index}/at/1`} label={t('setout.northOf')} />
      </Flex>
      <PlanField path={`/elements/${index}/angle`} />
    </Panel>
  );
}

function AddStrip() {
  const { t } = useTranslation();
  const format = useFormat();
  const { lang, system } = useFormat();
  const store = useDeskStore();
  const [text, setText] = useState('');
  const [start, setStart] = useState<readonly [number, number]>([0, 0]);
  const [said, setSaid] = useState<string | undefined>();
  const add = (event: React.FormEvent) => {
    event.preventDefault();
    const runs = parseRuns(text, start, system, lang);
    if (!runs.ok) return setSaid(t(`setout.run.${runs.problem.code}`, { ...runs.problem }));
    const { max } = FIELDS['/elements/*/at/0'];
    if (runs.points.some((p) => Math.abs(p[0]) > max || Math.abs(p[1]) > max))
      return setSaid(t('setout.run.far', { most: format.text(max, 'length', { decimals: 0 }) }));
    const strip = newStrip(store.getState().plan, runs.points, runs.closed);
    store.getState().edit((d) => {
      d.elements.push(strip);
    });
    store.getState().pick(strip.id);
    setText('');
    setSaid(undefined);
  };
  return (
    <Panel title={t('setout.addStrip')}>
      <form onSubmit={add}>
        <Stack gap={2}>
          <TextField
            label={t('setout.runs')}
            hint={t('setout.runsHint', { example: t(`setout.example.${format.system}`) })}
            value={text}
            problem={said}
            maxLength={600}
            onChange={(event) => {
              setText(event.target.value);
              setSaid(undefined);
            }}
          />
          <Flex gap={2}>
            <QuantityField
              stacked
              label={t('setout.startEast')}
              range="/elements/*/at/0"
              value={start[0]}
              onCommit={(v) => setStart([v ?? 0, start[1]])}
            />
            <QuantityField
              stacked
              label={t('setout.startNorth')}
              range="/elements/*/at/0"
              value={start[1]}
              onCommit={(v) => setStart([start[0], v ?? 0])}
            />
          </Flex>
          <Button type="submit">{t('setout.add')}</Button>
        </Stack>
      </form>
    </Panel>
  );
}

/** "1.2 x 0.9" or one size for a square. */
function AddPad() {
  const { t } = useTranslation();
  const { lang, system } = useFormat();
  const store = useDeskStore();
  const [at, setAt] = useState<readonly [number, number]>([0, 0]);
  const [size, setSize] = useState('');
  const [said, setSaid] = useState<string | undefined>();
  const id = useId();
  const add = (event: React.FormEvent) => {
    event.preventDefault();
    const sizes = size.trim() === '' ? [] : parseSizes(size, 'size', system, lang);
    if (!sizes) return setSaid(t('setout.sizeWrong'));
    const pad = newPad(store.getState().plan, at, sizes[0], sizes[1]);
    store.getState().edit((d) => {
      d.elements.push(pad);
    });
    store.getState().pick(pad.id);
    setSize('');
    setSaid(undefined);
  };
  return (
    <Panel title={t('setout.addPad')}>
      <form onSubmit={add}>
        <Stack gap={2}>
          <Flex gap={2}>
            <QuantityField
              stacked
              label={t('setout.eastOf')}
              range="/elements/*/at/0"
              value={at[0]}
              onCommit={(v) => setAt([v ?? 0, at[1]])}
            />
            <QuantityField
              stacked
              label={t('setout.northOf')}
              range="/elements/*/at/0"
              value={at[1]}
              onCommit={(v) => setAt([at[0], v ?? 0])}
            />
          </Flex>
          <label htmlFor={id}>
            <Box as="span" fontSize="sm">
              {t('setout.size')}
            </Box>
          </label>
          <Input
            id={id}
            value={size}
            maxLength={60}
            placeholder={system === 'metric' ? '1000 x 1000' : `4' x 4'`}
            aria-invalid={said !== undefined}
            onChange={(event) => {
              setSize(event.target.value);
              setSaid(undefined);
            }}
          />
          <Box role="status">{said && <FieldError>{said}</FieldError>}</Box>
          <Button type="submit">{t('setout.add')}</Button>
        </Stack>
      </form>
    </Panel>
  );
}
