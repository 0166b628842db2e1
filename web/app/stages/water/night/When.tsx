/** A day and a time of day, in the job's own zone. */
import { Box } from '@chakra-ui/react';
import { useId } from 'react';
import { FieldError, Input } from '../../../parts/controls.tsx';

interface Props {
  readonly label: string;
  readonly value: string | null;
  readonly problem?: string | undefined;
  /** Null when it was emptied. */
  readonly onChange: (value: string | null) => void;
}

export function WhenField({ label, value, problem, onChange }: Props) {
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>
        <Box as="span" fontSize="sm">
          {label}
        </Box>
      </label>
      <Input
        id={id}
        type="datetime-local"
        value={value ?? ''}
        aria-invalid={problem !== undefined}
        mt={0.5}
        onChange={(event) => onChange(event.target.value === '' ? null : event.target.value.slice(0, 16))}
      />
      {problem && <FieldError role="alert">{problem}</FieldError>}
    </Box>
  );
}
