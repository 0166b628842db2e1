/** What opens under a button and goes again: by Escape, by a press beside it, when the focus goes on. */
import { Box, Flex } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';

export function Menu({ name, children }: { name: string; children: React.ReactNode }) {
  const menu = useRef<HTMLDetailsElement>(null);
  const shut = () => {
    if (menu.current) menu.current.open = false;
  };
  useEffect(() => {
    const beside = ({ target }: PointerEvent) => {
      if (menu.current?.open && !menu.current.contains(target as Node)) menu.current.open = false;
    };
    addEventListener('pointerdown', beside);
    return () => removeEventListener('pointerdown', beside);
  }, []);
  return (
    <Box position="relative" fontSize="sm">
      <details
        ref={menu}
        onKeyDown={(event) => {
          if (event.key !== 'Escape' || !menu.current?.open) return;
          event.stopPropagation();
          shut();
          menu.current.querySelector('summary')?.focus();
        }}
        onBlur={({ relatedTarget, currentTarget }) => {
          // Gone to nothing at all it may be a press inside, on what takes no focus.
          if (relatedTarget && !currentTarget.contains(relatedTarget)) shut();
        }}
      >
        <Box
          as="summary"
          cursor="pointer"
          px={2}
          py={{ base: 2.5, lg: 1 }}
          borderWidth="1px"
          borderStyle="solid"
          borderColor="edge"
          borderRadius="sm"
        >
          {name}
        </Box>
        <Flex
          direction="column"
          gap={2}
          position="absolute"
          right={0}
          top="110%"
          zIndex={15}
          bg="sheet"
          borderWidth="2px"
          borderStyle="solid"
          borderColor="ink"
          p={3}
          w="17rem"
        >
          {children}
        </Flex>
      </details>
    </Box>
  );
}
