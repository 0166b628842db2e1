/** The name of a thing of a list, and the bin that takes it away. */
import { Box, Flex } from '@chakra-ui/react';
import { Trash2 } from 'lucide-react';
import { Button } from './controls.tsx';
import { TextField } from './TextField.tsx';

export function NameRow({
  label,
  name,
  rename,
  removeLabel,
  remove,
}: {
  label: string;
  name: string;
  /** Told of every name but an empty one. */
  rename: (name: string) => void;
  removeLabel: string;
  remove: () => void;
}) {
  return (
    <Flex gap={1.5} align="end">
      <Box flex="1">
        <TextField
          label={label}
          value={name}
          maxLength={80}
          onChange={({ target }) => {
            if (target.value) rename(target.value);
          }}
        />
      </Box>
      <Button look="quiet" aria-label={removeLabel} onClick={remove}>
        <Trash2 size={15} aria-hidden />
      </Button>
    </Flex>
  );
}
