/** What runs in from round the hole of what is picked, and what is done about it. */
import { Flex } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useDesk, useDeskStore } from '../../../desk/store.ts';
import { useTakeoff } from '../../../desk/takeoff.ts';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { Button, Small } from '../../../parts/controls.tsx';
import { useFormat } from '../../../parts/format.tsx';
import { QuantityField } from '../../../parts/QuantityField.tsx';
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
  const { edit } = useDeskStore().getState();
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
      <QuantityField
        optional
        label={t('night.drained')}
        hint={t('rain.drainedHint')}
        range="/water/drained/*/area"
        value={water.drained[at]?.area ?? null}
        onCommit={(area) =>
          edit((d) => {
            if (at >= 0) d.water.drained.splice(at, 1);
            if (area !== null) d.water.drained.push({ element, area });
          })
        }
      />
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

/** A ditch of its own across the way down to an opening, a metre and a half off it: drawn on from there. */
function ditchOver(opening: readonly number[], level: (x: number, y: number) => number): [number, number][] {
  const xs = opening.filter((_, i) => i % 2 === 0);
  const ys = opening.filter((_, i) => i % 2 === 1);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const [cx, cy, half] = [(x0 + x1) / 2, (y0 + y1) / 2, Math.hypot(x1 - x0, y1 - y0) / 2 + 1.5];
  const gx = level(cx + 1, cy) - level(cx - 1, cy);
  const gy = level(cx, cy + 1) - level(cx, cy - 1);
  const steep = Math.hypot(gx, gy);
  // On level ground it lies to the north.
  const [ux, uy] = steep > 1e-6 ? [gx / steep, gy / steep] : [0, 1];
  const [mx, my] = [cx + ux * half, cy + uy * half];
  const round = (value: number) => Math.round(value * 100) / 100;
  return [
    [round(mx - uy * half), round(my + ux * half)],
    [round(mx + uy * half), round(my - ux * half)],
  ];
}

function Ditches({ element }: { element: string }) {
  const { t } = useTranslation();
  const { edit, look } = useDeskStore().getState();
  const ditches = useDesk((desk) => desk.plan.water.ditches);
  const { elements } = useTakeoff();
  const places = useDesk((desk) => desk.plan.ground.surface);
  const opening = elements.find((e) => e.id === element)?.openings.flat() ?? [];
  const level = (x: number, y: number) =>
    places.kind === 'plane' ? places.gradeEast * x + places.gradeNorth * y : 0;
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
        points: ditchOver(opening, level),
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
      {ditches.length < 20 && opening.length > 0 && <Button onClick={add}>{t('rain.addDitch')}</Button>}
    </>
  );
}
