/** Two drawings side by side under the thumb: pushed from one to the other. */
import { Box, Flex } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { Button } from '../ui/controls.tsx';

interface Pane {
  readonly name: string;
  readonly height: string;
  readonly content: React.ReactNode;
}

/** A push that was under way has come to rest after so long, ms: looked at twice before, and held to until the last. */
const RUNS_ON = [250, 800, 2500];

export function Swiped({ label, panes }: { label: string; panes: readonly Pane[] }) {
  const row = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  // A push that has not come to rest yet would take a press back: what was asked for is held to until it has.
  const wanted = useRef<{ readonly to: number } | null>(null);
  const stand = (to: number) => {
    const { current } = row;
    current?.scrollTo({ left: to * current.clientWidth, behavior: 'instant' });
  };
  const turn = (to: number) => {
    const asked = { to };
    wanted.current = asked;
    setAt(to);
    stand(to);
    // A push may run on past the last word the browser gives of it, and past one that it came to rest.
    RUNS_ON.forEach((after, i) => {
      setTimeout(() => {
        if (wanted.current !== asked) return;
        stand(to);
        if (i === RUNS_ON.length - 1) wanted.current = null;
      }, after);
    });
  };
  return (
    <Box as="section" aria-label={label}>
      <Box
        ref={row}
        data-swiped={at}
        display="flex"
        overflowX="auto"
        overflowY="hidden"
        scrollSnapType="x mandatory"
        css={{ scrollbarWidth: 'none' }}
        // As high as what is looked at: the other is not waited for under it.
        h={panes[at]?.height}
        onTouchStart={() => {
          wanted.current = null;
        }}
        onScroll={({ currentTarget: { scrollLeft, clientWidth } }) => {
          if (wanted.current === null) setAt(Math.round(scrollLeft / Math.max(1, clientWidth)));
        }}
        onScrollEnd={({ currentTarget: { scrollLeft, clientWidth } }) => {
          const { current: asked } = wanted;
          if (asked && Math.abs(scrollLeft - asked.to * clientWidth) > 1) stand(asked.to);
        }}
      >
        {panes.map(({ name, height, content }) => (
          <Box key={name} flex="0 0 100%" minW={0} h={height} scrollSnapAlign="start">
            {content}
          </Box>
        ))}
      </Box>
      <Flex justify="center" gap={1} className="no-print">
        {panes.map(({ name }, i) => (
          <Button
            key={name}
            size="sm"
            look="quiet"
            aria-pressed={i === at}
            color={i === at ? 'chalk' : 'soft'}
            fontWeight={i === at ? 600 : 400}
            borderBottomColor={i === at ? 'chalk' : 'transparent'}
            borderBottomWidth="3px"
            borderRadius={0}
            onClick={() => turn(i)}
          >
            {name}
          </Button>
        ))}
      </Flex>
    </Box>
  );
}
