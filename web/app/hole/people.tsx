/** Who says so: a name, a role, a finger. */
import { ROLES, type Role } from '@cimiento/core';
import { useTranslation } from '../messages/useTranslation.ts';
import { roleText } from '../ui/holdWords.ts';
import { Label, Pick, Typed } from './parts.tsx';

export function WhoField({ value, onChange }: { value: string; onChange: (who: string) => void }) {
  const { t } = useTranslation();
  return (
    <Label text={t('hold.who')}>
      <Typed
        value={value}
        maxLength={80}
        autoComplete="name"
        name="who"
        onChange={(e) => onChange(e.target.value)}
      />
    </Label>
  );
}

export function RoleField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Role;
  onChange: (role: Role) => void;
}) {
  const { t } = useTranslation();
  return (
    <Label text={label}>
      <Pick value={value} name="role" onChange={(e) => onChange(e.target.value as Role)}>
        {ROLES.map((one) => (
          <option key={one} value={one}>
            {roleText(t, one)}
          </option>
        ))}
      </Pick>
    </Label>
  );
}
