/** One way to play what happens over time: a press, a slider, and where it is. */
import { Box, Flex } from '@chakra-ui/react';
import { Pause, Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Button } from './controls.tsx';

interface Props {
  /** The step it stands at, of so many; 0: the whole. */
  readonly at: number;
  readonly steps: number;
  /** One step while playing, ms. */
  readonly beat: number;
  readonly label: string;
  readonly play: string;
  readonly pause: string;
  readonly put: (step: number) => void;
  /** Where it is, in words. */
  readonly children: React.ReactNode;
}

export function Player({ at, steps, beat, label, play, pause, put, children }: Props) {
  const [running, setRunning] = useState(false);
  const now = useRef({ at, put });
  now.current = { at, put };
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => {
      const { at: step, put: go } = now.current;
      if (step >= steps) setRunning(false);
      else go(step + 1);
    }, beat);
    return () => clearInterval(timer);
  }, [running, steps, beat]);
  if (steps === 0) return null;
  return (
    <Flex gap={1.5} align="center" minW={0} flex="0 1 auto" data-player={Math.min(at, steps)}>
      <Button
        size="sm"
        onClick={() => {
          if (!running && at >= steps) put(0);
          setRunning(!running);
        }}
      >
        {running ? <Pause size={14} aria-hidden /> : <Play size={14} aria-hidden />}
        {running ? pause : play}
      </Button>
      <input
        type="range"
        min={0}
        max={steps}
        step={1}
        value={Math.min(at, steps)}
        aria-label={label}
        onChange={(event) => {
          setRunning(false);
          put(Number(event.target.value));
        }}
        style={{ width: 130, minWidth: 60, flexShrink: 1 }}
      />
      <Box as="span" fontFamily="figure" fontWeight={600} minW="44px">
        {children}
      </Box>
    </Flex>
  );
}
