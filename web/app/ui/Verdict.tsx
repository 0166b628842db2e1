/** One line that says how it stands: well, or what is wrong. */
import { Box } from '@chakra-ui/react';

/** @param name what a test or a style finds it by */
export function Verdict({ ok, name, children }: { ok: boolean; name: string; children: React.ReactNode }) {
  return (
    <Box
      role="status"
      fontSize="sm"
      fontWeight={600}
      px={2}
      borderLeftWidth="4px"
      borderStyle="solid"
      borderColor={ok ? 'placed' : 'held'}
      bg={ok ? 'placedWash' : 'heldWash'}
      data-verdict={name}
    >
      {children}
    </Box>
  );
}
