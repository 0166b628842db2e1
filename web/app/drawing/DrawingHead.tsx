/** The head of a drawing: its name or the names of all there are, and what is set beside them. */
import { chakra } from '@chakra-ui/react';

/** On a phone the names have a row of their own: what stands beside them never pushes them away. */
export const DrawingHead = chakra('div', {
  base: {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 2,
    px: 3,
    py: 1,
    '@media (max-width: 1019px)': { flexWrap: 'wrap', '& > [role=tablist]': { flex: '1 1 100%' } },
  },
});
