/** Name, address and password of somebody who comes in, asked alike wherever they come in by. */
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { TextField } from '../ui/TextField.tsx';

interface Props {
  readonly values: { readonly name: string; readonly email: string } | undefined;
  readonly problems: Partial<Record<'name' | 'email' | 'password', string>> | undefined;
  /** Letters a password has at least. */
  readonly shortest: number;
}

export function WhoFields({ values, problems, shortest }: Props) {
  const { t } = useTranslation();
  const said = (code: string | undefined) => code && t(coded(`join.${code}`), { n: shortest });
  return (
    <>
      <TextField
        label={t('join.name')}
        name="name"
        maxLength={80}
        autoComplete="name"
        defaultValue={values?.name ?? ''}
        problem={said(problems?.name)}
      />
      <TextField
        label={t('signIn.email')}
        name="email"
        type="email"
        autoComplete="username"
        defaultValue={values?.email ?? ''}
        problem={said(problems?.email)}
      />
      <TextField
        label={t('signIn.password')}
        name="password"
        type="password"
        autoComplete="new-password"
        problem={said(problems?.password)}
      />
    </>
  );
}
