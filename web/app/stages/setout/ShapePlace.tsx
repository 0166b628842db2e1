/** Where an outlined shape or a ramp lies, and its own sizes. */
import { Flex } from '@chakra-ui/react';
import { isOutlined, type OutlinedElement, type Ramp } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useProblem } from '../../state/takeoff.ts';
import { Button, FieldError } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { Panel, PlanField } from '../fields.tsx';

export function OutlinePlace({ shape, index }: { shape: OutlinedElement; index: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const path = `/elements/${index}/outline`;
  const problem = useProblem(path);
  const change = (recipe: (outline: [number, number][]) => void) =>
    store.getState().edit((d) => {
      const e = d.elements[index];
      if (e && isOutlined(e)) recipe(e.outline as [number, number][]);
    });
  return (
    <Panel title={t('setout.points', { name: shape.name })} aside={t('setout.fromOrigin')}>
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
      {shape.outline.map((_point, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the outline
        <Flex gap={2} key={i} align="end">
          <PlanField stacked path={`${path}/${i}/0`} label={t('setout.east', { n: i + 1 })} />
          <PlanField stacked path={`${path}/${i}/1`} label={t('setout.north', { n: i + 1 })} />
          <Button
            look="quiet"
            px={1}
            disabled={shape.outline.length < 4}
            aria-label={t('shape.removeCorner', { n: i + 1 })}
            onClick={() =>
              change((outline) => {
                outline.splice(i, 1);
              })
            }
          >
            <Trash2 size={14} aria-hidden />
          </Button>
        </Flex>
      ))}
      <Button
        onClick={() =>
          change((outline) => {
            // Half way along the last side: from there it is dragged or typed where it belongs.
            const [p, q] = [outline.at(-1)!, outline[0]!];
            outline.push([(p[0] + q[0]) / 2, (p[1] + q[1]) / 2]);
          })
        }
      >
        {t('shape.addCorner')}
      </Button>
    </Panel>
  );
}

export function RampPlace({ ramp, index }: { ramp: Ramp; index: number }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const elements = useDesk((desk) => desk.plan.elements);
  const path = `/elements/${index}`;
  return (
    <Panel title={t('shape.foot', { name: ramp.name })} aside={t('setout.fromOrigin')}>
      <Flex gap={2}>
        <PlanField stacked path={`${path}/at/0`} label={t('setout.eastOf')} />
        <PlanField stacked path={`${path}/at/1`} label={t('setout.northOf')} />
      </Flex>
      <PlanField label={t('shape.climbs')} hint={t('shape.fromEast')} path={`${path}/angle`} />
      <Choice
        label={t('shape.serves')}
        value={ramp.serves}
        options={elements.filter((e) => e.kind !== 'ramp').map((e) => ({ value: e.id, label: e.name }))}
        onChange={(serves) =>
          store.getState().edit((d) => {
            const e = d.elements[index];
            if (e?.kind === 'ramp') e.serves = serves;
          })
        }
      />
    </Panel>
  );
}
