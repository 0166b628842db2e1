/** One of several ways side by side: framed, and marked where it is the plan's. */
import { Box } from '@chakra-ui/react';

interface Props {
  readonly here: boolean;
  readonly children: React.ReactNode;
  readonly [data: `data-${string}`]: string | boolean;
}

export const WayFrame = ({ here, children, ...data }: Props) => (
  <Box
    borderWidth="1px"
    borderStyle="solid"
    borderColor={here ? 'chalk' : 'rule'}
    bg={here ? 'chalkWash' : 'sheet'}
    px={2}
    py={1}
    fontSize="sm"
    {...data}
  >
    {children}
  </Box>
);
