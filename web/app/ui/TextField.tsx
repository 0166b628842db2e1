import { Box } from '@chakra-ui/react';
import { useId } from 'react';
import { FieldError, Input, Select, Small } from './controls.tsx';

interface Labelled {
  readonly label: string;
  readonly hint?: string;
  readonly problem?: string | undefined;
}

export function TextField({ label, hint, problem, ...input }: Labelled & React.ComponentProps<typeof Input>) {
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>
        <Box as="span" fontSize="sm">
          {label}
        </Box>
      </label>
      {/* Beside its name, not part of it. */}
      {hint && <Small id={`${id}-hint`}>{hint}</Small>}
      <Input
        id={id}
        aria-invalid={problem !== undefined}
        aria-describedby={hint ? `${id}-hint ${id}-said` : `${id}-said`}
        mt={0.5}
        {...input}
      />
      <Box id={`${id}-said`} role="status">
        {problem && <FieldError>{problem}</FieldError>}
      </Box>
    </Box>
  );
}

export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  beside = true,
  width = '9.5rem',
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  readonly beside?: boolean;
  readonly width?: string;
}) {
  const id = useId();
  return (
    <Box display={beside ? 'flex' : 'block'} alignItems="center" justifyContent="space-between" gap={2}>
      <label htmlFor={id}>
        <Box as="span" fontSize="sm">
          {label}
        </Box>
      </label>
      <Select
        id={id}
        value={value}
        w={beside ? width : 'full'}
        flexShrink={0}
        onChange={(event) => {
          const next = options.find((option) => option.value === event.target.value);
          if (next) onChange(next.value);
        }}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </Select>
    </Box>
  );
}
