/** In which pour each thing is cast: numbers on the plan, and stage by stage on the section. */
import { labelPlace, type Section } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { useLabels } from '../../drawing/labels.tsx';
import type { Scale } from '../../drawing/strata.ts';
import type { View } from '../../drawing/view.ts';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { ranges } from '../../ui/ranges.ts';

const LETTERS = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 13 } as const;
const HIGH = 20;

function Tag({ x, y, text, id }: { x: number; y: number; text: string; id: string }) {
  const wide = Math.max(HIGH, 8 + 7 * text.length);
  return (
    <g transform={`translate(${x} ${y})`} data-pour-tag={id}>
      <rect
        x={-wide / 2}
        y={-HIGH / 2}
        width={wide}
        height={HIGH}
        rx={HIGH / 2}
        fill={ink('sheet')}
        stroke={ink('ink')}
        strokeWidth={1.2}
      />
      <text textAnchor="middle" y={4.5} fill={ink('ink')} style={LETTERS}>
        {text}
      </text>
    </g>
  );
}

export function PourLayer({ view }: { view: View }) {
  const { elements } = useShownPlan();
  const { pours } = useTakeoff();
  const tags = useMemo(
    () =>
      elements.flatMap((element) => {
        const own = pours.flatMap((pour, i) => (pour.elements.includes(element.id) ? [String(i + 1)] : []));
        if (own.length === 0) return [];
        const [cx, cy] = labelPlace(element);
        const text = ranges(own, 2);
        return [
          {
            id: element.id,
            text,
            x: view.x(cx) + 22,
            y: view.y(cy) - 17,
            width: 8 + 7 * text.length,
            height: HIGH,
          },
        ];
      }),
    [elements, pours, view],
  );
  useLabels('pours', undefined, tags);
  return (
    <g pointerEvents="none" data-pour-layer={pours.length}>
      {tags.map(({ id, text, x, y }) => (
        <Tag key={id} id={id} x={x} y={y} text={text} />
      ))}
    </g>
  );
}

/** Joints between what is cast of a thing at once, and the pour each is cast in. */
export function StagesOnSection({
  section,
  scale,
  index,
}: {
  section: Section;
  scale: Scale;
  index: number;
}) {
  const pouring = useDesk((desk) => desk.stage === 'pour');
  const { pours, elements } = useTakeoff();
  const id = elements[index]?.id;
  const boxes = section.boxes.filter(({ element, what }) => element === index && what !== 'layer');
  const casts = pours.flatMap((pour, i) =>
    pour.casts.flatMap((cast) =>
      cast.element === id && cast.stage !== 'pass' ? [{ ...cast, pour: i + 1 }] : [],
    ),
  );
  if (!pouring || boxes.length === 0 || casts.length < 2) return null;
  const { x, y } = scale;
  // A stage is as wide as what of it is cut there.
  const across = (bottom: number, top: number) => {
    const here = boxes.filter(({ z0, z1 }) => z0 < top - 1e-6 && z1 > bottom + 1e-6);
    return here.length > 0
      ? ([Math.min(...here.map(({ s0 }) => s0)), Math.max(...here.map(({ s1 }) => s1))] as const)
      : null;
  };
  let free = Infinity;
  return (
    <g pointerEvents="none" data-stages-cut={casts.length}>
      {casts
        .toSorted((p, q) => p.bottom - q.bottom)
        .map(({ key, bottom, top, pour }) => {
          const span = across(bottom, top);
          if (!span) return null;
          const middle = y((bottom + top) / 2);
          // Thin rises are told where there is room for the next number.
          const told = middle <= free;
          if (told) free = middle - HIGH - 2;
          return (
            <g key={key}>
              <path
                d={`M${x(span[0]) - 6} ${y(top)}H${x(span[1]) + 6}`}
                stroke={ink('ink')}
                strokeWidth={1.2}
                strokeDasharray="5 3"
              />
              {told && <Tag id={key} x={x(span[0]) - 22} y={middle} text={String(pour)} />}
            </g>
          );
        })}
    </g>
  );
}
