/** A day and a time of day, in the job's own zone. */
import { TextField } from '../../../ui/TextField.tsx';

interface Props {
  readonly label: string;
  readonly value: string | null;
  readonly problem?: string | undefined;
  /** Null when it was emptied. */
  readonly onChange: (value: string | null) => void;
}

export const WhenField = ({ value, onChange, ...rest }: Props) => (
  <TextField
    {...rest}
    type="datetime-local"
    value={value ?? ''}
    onChange={(event) => onChange(event.target.value === '' ? null : event.target.value.slice(0, 16))}
  />
);
