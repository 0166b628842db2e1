/** The lower edge of a drawn layer, dragged or nudged by keys for its thickness. */
import { ink } from './hatches.tsx';
import { dragDepth } from './pointer.ts';
import { KEY_STEPS, useNudge } from './useNudge.ts';
import { useReach } from './useReach.ts';

/** m a step downward adds. */
const NUDGE = 0.01;

export function EdgeHandle({
  id,
  label,
  text,
  thickness,
  at,
  left,
  right,
  height,
  scale,
  put,
  settle,
}: {
  id: string;
  label: string;
  /** The thickness as it is read out. */
  text: string;
  thickness: number;
  /** Where the edge is drawn, and the layer's sides. */
  at: number;
  left: number;
  right: number;
  /** Of the picture, and its units a metre. */
  height: number;
  scale: number;
  /** @param key edits of one key are one to undo */
  put: (thickness: number, key: string) => void;
  settle: () => void;
}) {
  const nudge = useNudge();
  const reach = useReach(8);
  const middle = (left + right) / 2;
  return (
    <g
      data-layer-edge={id}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={thickness}
      aria-valuemin={0}
      aria-valuetext={text}
      style={{ cursor: 'ns-resize', touchAction: 'none' }}
      onPointerDown={(event) =>
        dragDepth(
          event,
          height,
          (units) => put(thickness + units / scale, `layer-edge:${id}:${event.timeStamp}`),
          settle,
        )
      }
      onKeyDown={(event) => {
        const way = KEY_STEPS[event.key];
        if (way === undefined) return;
        event.preventDefault();
        nudge(id, thickness, -way * NUDGE, (to) => put(to, `layer-edge:${id}`));
      }}
    >
      <rect x={left} y={at - reach / 2} width={right - left} height={reach} fill="transparent" />
      <rect
        x={middle - 13}
        y={at - 3}
        width={26}
        height={6}
        rx={3}
        fill={ink('sheet')}
        stroke={ink('chalk')}
      />
    </g>
  );
}
