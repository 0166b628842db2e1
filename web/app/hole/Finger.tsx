/** A signature by finger: strokes as lines over a field of 300 by 100. */
import { Box } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Press } from './parts.tsx';

const [WIDTH, HEIGHT] = [300, 100];
/** A stroke takes no point nearer than this to its last. */
const NEAR = 2;
/** As long as a record may hold it. */
const LONGEST = 5800;

export function Finger({ value, onSigned }: { value: string; onSigned: (path: string) => void }) {
  const { t } = useTranslation();
  const drawing = useRef<{ x: number; y: number } | null>(null);
  const [path, setPath] = useState(value);
  const at = (event: React.PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const clamp = (v: number, most: number) => Math.max(0, Math.min(most, Math.round(v)));
    return {
      x: clamp(((event.clientX - box.left) / box.width) * WIDTH, WIDTH),
      y: clamp(((event.clientY - box.top) / box.height) * HEIGHT, HEIGHT),
    };
  };
  const add = (piece: string) => {
    setPath((now) => (now.length + piece.length > LONGEST ? now : now + piece));
  };
  return (
    <Box>
      <Box fontSize="md" fontWeight={500}>
        {t('hold.finger')}
      </Box>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        role="img"
        aria-label={t('hold.finger')}
        data-finger
        style={{
          touchAction: 'none',
          border: '2px dashed var(--chakra-colors-ink)',
          borderRadius: 5,
          display: 'block',
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drawing.current = at(event);
          add(`M${drawing.current.x} ${drawing.current.y}`);
        }}
        onPointerMove={(event) => {
          const last = drawing.current;
          if (!last) return;
          const next = at(event);
          if (Math.hypot(next.x - last.x, next.y - last.y) < NEAR) return;
          drawing.current = next;
          add(`L${next.x} ${next.y}`);
        }}
        onPointerUp={() => {
          drawing.current = null;
          setPath((now) => {
            onSigned(now);
            return now;
          });
        }}
      >
        <path
          d={path || 'M0 0'}
          fill="none"
          stroke="var(--chakra-colors-ink)"
          strokeWidth={2.5}
          strokeLinecap="round"
        />
      </svg>
      {path !== '' && (
        <Press
          look="quiet"
          onClick={() => {
            setPath('');
            onSigned('');
          }}
        >
          {t('hold.clearFinger')}
        </Press>
      )}
    </Box>
  );
}
