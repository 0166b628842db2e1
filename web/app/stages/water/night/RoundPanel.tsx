/** What runs in from round the hole of what is picked, and what is done about it. */
import { Flex } from '@chakra-ui/react';
import { cornersOf, nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useGround, useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { QuantityField } from '../../../ui/QuantityField.tsx';
import { Panel, PlanField, Toggle } from '../../fields.tsx';
import { useHole } from './use.ts';

const FROM = {
  typed: 'rain.drainsTyped',
  surface: 'rain.drainsSurface',
  unknown: 'rain.drainsUnknown',
} as const;

export function RoundPanel({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit, look } = useDeskStore().getState();
  const drawing = useDesk((desk) => desk.view.placing?.what === 'drained');
  const water = useDesk((desk) => desk.plan.water);
  const { hole } = useHole();
  const at = water.drained.findIndex(
    (one) => one.element === element || hole?.elements.includes(one.element),
  );
  return (
    <Panel title={t('rain.round')} fold="shut">
      {hole && (
        <Small data-drains={hole.drainsFrom}>
          {t(FROM[hole.drainsFrom], { area: format.text(hole.drains, 'area') })}
        </Small>
      )}
      {hole && hole.drainsFrom === 'surface' && hole.cutOff > 0 && (
        <Small color="held" data-cut-off>
          {t('rain.drainsCut', { area: format.text(hole.cutOff, 'area') })}
        </Small>
      )}
      <QuantityField
        optional
        label={t('night.drained')}
        hint={t('rain.drainedHint')}
        range="/water/drained/*/area"
        value={water.drained[at]?.area ?? null}
        onCommit={(area) =>
          edit((d) => {
            if (at >= 0) d.water.drained.splice(at, 1);
            if (area !== null) d.water.drained.push({ element, area, points: [] });
          })
        }
      />
      <Button
        size="sm"
        aria-pressed={drawing}
        onClick={() => look({ placing: drawing ? null : { what: 'drained', id: element } })}
      >
        {t(drawing ? 'placing.drained' : 'dewatering.drawDrained')}
      </Button>
      <PlanField
        optional
        hint={hole ? t('rain.runoffHint', { share: format.text(hole.share, 'percent') }) : ''}
        path="/water/runoff"
      />
      <Toggle
        label={t('night.full')}
        on={water.full}
        onChange={(on) =>
          edit((d) => {
            d.water.full = on;
          })
        }
      />
      <Ditches element={element} />
    </Panel>
  );
}

/** How far off an opening a ditch is first drawn, and how far past it to either side, m. */
const OFF = 1.5;

/** A ditch across the way down to some openings, just uphill of them: drawn on from there. */
function ditchOver(
  openings: readonly (readonly number[])[],
  level: (x: number, y: number) => number,
): [number, number][] {
  const corners = openings.flatMap(cornersOf);
  const mean = (axis: 0 | 1) => corners.reduce((sum, p) => sum + p[axis], 0) / corners.length;
  const [cx, cy] = [mean(0), mean(1)];
  const gx = level(cx + 1, cy) - level(cx - 1, cy);
  const gy = level(cx, cy + 1) - level(cx, cy - 1);
  const steep = Math.hypot(gx, gy);
  // On level ground it lies to the north.
  const [ux, uy] = steep > 1e-6 ? [gx / steep, gy / steep] : [0, 1];
  const up = Math.max(...corners.map(([x, y]) => x * ux + y * uy)) + OFF;
  const along = corners.map(([x, y]) => y * ux - x * uy);
  const round = (value: number) => Math.round(value * 100) / 100;
  return [Math.max(...along) + OFF, Math.min(...along) - OFF].map((s) => [
    round(up * ux - s * uy),
    round(up * uy + s * ux),
  ]);
}

function Ditches({ element }: { element: string }) {
  const { t } = useTranslation();
  const { edit, look } = useDeskStore().getState();
  const ditches = useDesk((desk) => desk.plan.water.ditches);
  const { elements } = useTakeoff();
  const { level } = useGround();
  const { hole } = useHole();
  const ids = hole?.elements ?? [element];
  const openings = elements.filter((e) => ids.includes(e.id)).flatMap((e) => e.openings);
  const add = () =>
    edit((d) => {
      const taken = d.water.ditches;
      taken.push({
        id: nextName(
          'ditch-',
          taken.map((one) => one.id),
        ),
        name: nextName(
          'CD',
          taken.map((one) => one.name),
        ),
        points: ditchOver(openings, level),
      });
    });
  return (
    <>
      {ditches.length > 0 && <strong>{t('rain.ditches')}</strong>}
      {ditches.map((ditch, i) => (
        <Flex key={ditch.id} justify="space-between" align="center" gap={2} data-ditch={ditch.id}>
          <span>{ditch.name}</span>
          <Flex gap={1}>
            <Button size="sm" onClick={() => look({ placing: { what: 'ditch', id: ditch.id } })}>
              {t('rain.drawDitch')}
            </Button>
            <Button
              size="sm"
              look="held"
              aria-label={t('rain.removeDitch', { name: ditch.name })}
              onClick={() =>
                edit((d) => {
                  d.water.ditches.splice(i, 1);
                })
              }
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </Flex>
        </Flex>
      ))}
      {ditches.length < 20 && openings.length > 0 && <Button onClick={add}>{t('rain.addDitch')}</Button>}
    </>
  );
}
