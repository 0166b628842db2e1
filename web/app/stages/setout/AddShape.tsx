/** Shapes other than a straight run: boxes, slabs, rings, arcs, ramps, pads along a trench, two tapes. */

import { Box, Flex, Stack } from '@chakra-ui/react';
import {
  arcPoints,
  beside,
  CHORD_OFF,
  type Element,
  FOOT,
  isRun,
  middleOf,
  newBox,
  newPad,
  newRaft,
  newRamp,
  newStrip,
  type Plan,
  pointsAlong,
  pointsOf,
  twoTape,
  withFloor,
} from '@cimiento/core';
import { useState } from 'react';
import { coded } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { Panel } from '../fields.tsx';
import { parseSizes } from './sizes.ts';

type Point = readonly [number, number];
const SHAPES = ['box', 'slab', 'ring', 'arc', 'beside', 'ramp', 'pads', 'tapes'] as const;
type Shape = (typeof SHAPES)[number];

interface Typed {
  readonly at: Point;
  readonly size: string;
  readonly radius: number;
  readonly start: number;
  readonly sweep: number;
  readonly spacing: number;
  readonly first: number;
  readonly from: number;
  readonly to: number;
  readonly end: Point;
  readonly beside: number;
}

const corners = ([x, y]: Point, [length, width]: readonly [number, number]): Point[] => [
  [x, y],
  [x + length, y],
  [x + length, y + width],
  [x, y + width],
];

/** A ramp's foot: the middle of an outline's side nearest to a direction, and that direction. */
function footOf(element: Element, degrees: number): { at: Point; angle: number } {
  if (element.kind !== 'box' && element.kind !== 'raft') return { at: middleOf(element), angle: degrees };
  const [mx, my] = middleOf(element);
  const sides = element.outline.map((p, i) => {
    const q = element.outline[(i + 1) % element.outline.length]!;
    const at: Point = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
    const out = Math.atan2(q[1] - p[1], q[0] - p[0]) - Math.PI / 2;
    // Outwards, whichever way round the outline was drawn.
    const away = Math.cos(out) * (at[0] - mx) + Math.sin(out) * (at[1] - my) >= 0 ? out : out + Math.PI;
    return { at, angle: away, turn: Math.cos(away - (degrees * Math.PI) / 180) };
  });
  const best = sides.reduce((p, q) => (q.turn > p.turn ? q : p));
  return { at: best.at, angle: (best.angle * 180) / Math.PI };
}

/** What a shape adds, or the message of what is wrong with what was typed. */
function made(
  shape: Shape,
  typed: Typed,
  plan: Plan,
  picked: Element | undefined,
  sizes: readonly [number, number] | null,
): { elements: Element[] } | { said: string } {
  switch (shape) {
    case 'box':
    case 'slab':
    case 'ring': {
      if (!sizes) return { said: 'shape.sizeWrong' };
      const outline = corners(typed.at, sizes);
      return {
        elements: [
          shape === 'box'
            ? newBox(plan, outline)
            : shape === 'slab'
              ? newRaft(plan, outline)
              : newStrip(plan, outline, true),
        ],
      };
    }
    case 'arc': {
      const points = arcPoints(typed.at, typed.radius, typed.start, typed.sweep);
      if (!points) return { said: 'shape.arcWrong' };
      return { elements: [newStrip(plan, points, Math.abs(typed.sweep) === 360)] };
    }
    case 'beside': {
      if (!picked || picked.kind === 'pad' || picked.kind === 'ramp') return { said: 'shape.pickAxis' };
      const closed = !isRun(picked) || picked.closed;
      const points = beside(pointsOf(picked), closed, typed.beside);
      if (!points) return { said: 'shape.besideWrong' };
      const strip = newStrip(plan, points, closed);
      // Like the trench it lies beside, but for its name.
      return {
        elements: [isRun(picked) ? { ...picked, id: strip.id, name: strip.name, points } : strip],
      };
    }
    case 'ramp': {
      if (!picked || picked.kind === 'ramp') return { said: 'shape.pickServed' };
      const { at, angle } = footOf(picked, typed.start);
      return { elements: [newRamp(plan, picked.id, at, angle)] };
    }
    case 'pads': {
      if (!picked || !isRun(picked)) return { said: 'shape.pickStrip' };
      if (!sizes) return { said: 'shape.sizeWrong' };
      const places = pointsAlong(picked.points, picked.closed, typed.spacing, typed.first);
      if (places.length === 0) return { said: 'shape.noPads' };
      let now = plan;
      const pads = places.map(({ at, angle }) => {
        const pad = { ...newPad(now, at, sizes[0], sizes[1]), angle, group: picked.group };
        now = { ...now, elements: [...now.elements, pad] };
        return pad;
      });
      return { elements: pads };
    }
    case 'tapes': {
      const found = twoTape(typed.at, typed.end, typed.from, typed.to);
      if (!found.ok) return { said: `shape.${found.code}` };
      return {
        elements: [
          newPad(plan, found.left),
          newPad({ ...plan, elements: [...plan.elements, newPad(plan, found.left)] }, found.right),
        ],
      };
    }
  }
}

export function AddShape() {
  const { t } = useTranslation();
  const format = useFormat();
  const { lang, system } = useFormat();
  const store = useDeskStore();
  const picked = useDesk((desk) => desk.plan.elements.find((e) => e.id === desk.picked));
  const [shape, setShape] = useState<Shape>('box');
  const [said, setSaid] = useState<string | null>(null);
  const metric = system === 'metric';
  const [typed, setTyped] = useState<Typed>({
    at: [0, 0],
    size: '',
    radius: 4,
    start: 0,
    sweep: 90,
    spacing: metric ? 3 : 3.048,
    first: metric ? 1.5 : 1.524,
    from: 5,
    to: 5,
    end: [5, 0],
    beside: metric ? 2 : 6 * FOOT,
  });
  const set = (change: Partial<Typed>) => {
    setTyped((now) => ({ ...now, ...change }));
    setSaid(null);
  };
  const add = (event: React.FormEvent) => {
    event.preventDefault();
    const { plan: now, edit, pick } = store.getState();
    // A slab lies on a floor: the first one makes it.
    const plan = shape === 'slab' ? withFloor(now, t('levels.floorName'), t('material.slab')) : now;
    const sizes = parseSizes(typed.size, shape === 'pads' ? 'size' : 'length', system, lang);
    const result = made(shape, typed, plan, picked, sizes);
    if ('said' in result) return setSaid(result.said);
    edit((d) => {
      if (plan !== now) d.levels.floors = plan.levels.floors;
      d.elements.push(...result.elements);
    });
    pick(result.elements[0]?.id ?? null);
    setSaid(null);
  };
  const place = (
    <Flex gap={2}>
      <QuantityField
        stacked
        label={t(shape === 'arc' ? 'shape.centreEast' : 'setout.eastOf')}
        range="/elements/*/at/0"
        value={typed.at[0]}
        onCommit={(v) => set({ at: [v ?? 0, typed.at[1]] })}
      />
      <QuantityField
        stacked
        label={t(shape === 'arc' ? 'shape.centreNorth' : 'setout.northOf')}
        range="/elements/*/at/0"
        value={typed.at[1]}
        onCommit={(v) => set({ at: [typed.at[0], v ?? 0] })}
      />
    </Flex>
  );
  const sized = ['box', 'slab', 'ring', 'pads'].includes(shape);
  return (
    <Panel fold="shut" title={t('shape.title')}>
      <form onSubmit={add} noValidate>
        <Stack gap={2}>
          <Choice
            label={t('shape.kind')}
            value={shape}
            options={SHAPES.map((value) => ({ value, label: t(`shape.${value}`) }))}
            onChange={(next) => {
              setShape(next);
              setSaid(null);
            }}
          />
          <Small>
            {t(`shape.note.${shape}`, {
              name: picked?.name ?? '–',
              off: format.text(CHORD_OFF, 'size'),
            })}
          </Small>
          {shape !== 'ramp' && shape !== 'pads' && shape !== 'beside' && place}
          {shape === 'beside' && (
            <QuantityField
              label={t('shape.away')}
              hint={t('shape.awayHint')}
              range="/elements/*/at/0"
              value={typed.beside}
              onCommit={(v) => set({ beside: v ?? 0 })}
            />
          )}
          {shape === 'tapes' && (
            <>
              <QuantityField
                label={t('shape.tape')}
                range="taped"
                value={typed.from}
                onCommit={(v) => set({ from: v ?? 0 })}
              />
              <Flex gap={2}>
                <QuantityField
                  stacked
                  label={t('shape.endEast')}
                  range="/elements/*/at/0"
                  value={typed.end[0]}
                  onCommit={(v) => set({ end: [v ?? 0, typed.end[1]] })}
                />
                <QuantityField
                  stacked
                  label={t('shape.endNorth')}
                  range="/elements/*/at/0"
                  value={typed.end[1]}
                  onCommit={(v) => set({ end: [typed.end[0], v ?? 0] })}
                />
              </Flex>
              <QuantityField
                label={t('shape.tapeTwo')}
                range="taped"
                value={typed.to}
                onCommit={(v) => set({ to: v ?? 0 })}
              />
            </>
          )}
          {shape === 'arc' && (
            <>
              <QuantityField
                label={t('shape.radius')}
                range="/elements/*/at/0"
                value={typed.radius}
                onCommit={(v) => set({ radius: v ?? 0 })}
              />
              <QuantityField
                label={t('shape.sweep')}
                range="/elements/*/angle"
                value={typed.sweep}
                onCommit={(v) => set({ sweep: v ?? 0 })}
              />
            </>
          )}
          {(shape === 'arc' || shape === 'ramp') && (
            <QuantityField
              label={t(shape === 'arc' ? 'shape.start' : 'shape.climbs')}
              hint={t('shape.fromEast')}
              range="/elements/*/angle"
              value={typed.start}
              onCommit={(v) => set({ start: v ?? 0 })}
            />
          )}
          {shape === 'pads' && (
            <>
              <QuantityField
                label={t('shape.spacing')}
                range="taped"
                value={typed.spacing}
                onCommit={(v) => set({ spacing: v ?? 0 })}
              />
              <QuantityField
                label={t('shape.first')}
                range="/elements/*/at/0"
                value={typed.first}
                onCommit={(v) => set({ first: v ?? 0 })}
              />
            </>
          )}
          {sized && (
            <TextField
              label={t('shape.size')}
              placeholder={
                shape === 'pads' ? (metric ? '900 x 900' : `36" x 36"`) : metric ? '7.2 x 3.8' : `24' x 12'`
              }
              value={typed.size}
              maxLength={60}
              onChange={(event) => set({ size: event.target.value })}
            />
          )}
          <Box role="status">{said && <FieldError>{t(coded(said))}</FieldError>}</Box>
          <Button type="submit">{t('shape.add')}</Button>
        </Stack>
      </form>
    </Panel>
  );
}
