/** The order on the plan: numbers on the trenches, the machine's stands, what is open by now. */
import { type DigSequence, labelPlace, machineOf, unionOutlines } from '@cimiento/core';
import { useMemo } from 'react';
import { ink } from '../../drawing/hatches.tsx';
import { useLabels } from '../../drawing/labels.tsx';
import { polygonPath, type View } from '../../drawing/view.ts';
import { useDesk } from '../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { useOrder } from './useOrder.ts';

const label = { fontFamily: 'Barlow Condensed', fontWeight: 600, fontSize: 14 } as const;

const NONE: Extract<DigSequence, { ok: true }>['steps'] = [];

export function OrderLayer({ view }: { view: View }) {
  const plan = useShownPlan();
  const played = useDesk((desk) => desk.view.played);
  const { elements } = useTakeoff();
  const order = useOrder();
  const steps = order?.ok ? order.steps : NONE;
  const numbers = useMemo(
    () =>
      steps.flatMap((step) => {
        const element = plan.elements.find((e) => e.id === step.id);
        if (!element) return [];
        const [cx, cy] = labelPlace(element);
        return [{ id: step.id, x: view.x(cx) + 20, y: view.y(cy) - 16, width: 24, height: 24 }];
      }),
    [steps, plan.elements, view],
  );
  useLabels('order', undefined, numbers);
  if (!order?.ok) return null;
  const width = machineOf(plan).width * view.scale;
  const now = played > 0 ? steps[Math.min(played, steps.length) - 1] : undefined;
  const still = played > 0 ? steps.slice(played) : [];
  return (
    <g pointerEvents="none" data-order-layer={played}>
      {/* What is not dug yet is whole ground. */}
      {still.map((step) => {
        const i = plan.elements.findIndex((e) => e.id === step.id);
        const d = unionOutlines(elements[i]?.openings ?? [])
          .map((outline) => polygonPath(view, outline.flat()))
          .join('');
        return (
          <path
            key={step.id}
            d={d}
            fill={ink('paper')}
            stroke={ink('edge')}
            strokeDasharray="4 3"
            data-undug={step.id}
          />
        );
      })}
      {now && (
        <g data-machine={now.id}>
          <path
            d={`M${view.x(now.start[0])} ${view.y(now.start[1])}L${view.x(now.finish[0])} ${view.y(now.finish[1])}`}
            stroke={ink('placed')}
            strokeWidth={Math.max(3, width * 0.2)}
            strokeDasharray="10 6"
          />
          <rect
            x={view.x(now.finish[0]) - width / 2}
            y={view.y(now.finish[1]) - width / 2}
            width={width}
            height={width}
            rx={3}
            fill={ink('placed')}
            stroke={ink('ink')}
            strokeWidth={1.4}
          />
        </g>
      )}
      {numbers.map(({ id, x, y }, i) => {
        const here = i === played - 1;
        return (
          <g key={id} transform={`translate(${x} ${y})`}>
            <circle r={11} fill={here ? ink('placed') : ink('sheet')} stroke={ink('ink')} strokeWidth={1.2} />
            <text textAnchor="middle" y={5} fill={here ? ink('paper') : ink('ink')} style={label}>
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}
