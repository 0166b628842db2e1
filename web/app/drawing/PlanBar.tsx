/** A line over the plan that says what goes on there, with the press that ends it. */
import { Flex } from '@chakra-ui/react';
import { Button } from '../ui/controls.tsx';

export function PlanBar({
  text,
  done,
  onDone,
  bg,
  edge,
}: {
  text: string;
  done: string;
  onDone: () => void;
  /** Names of the theme's colours. */
  bg: string;
  edge: string;
}) {
  return (
    <Flex
      position="absolute"
      left={2}
      top={1}
      gap={2}
      align="center"
      bg={bg}
      borderWidth="1px"
      borderStyle="solid"
      borderColor={edge}
      px={2}
      py={1}
      fontSize="sm"
      role="status"
    >
      {text}
      <Button size="sm" onClick={onDone}>
        {done}
      </Button>
    </Flex>
  );
}
