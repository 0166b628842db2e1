/** Language, units and theme: plain forms, so they work before the page's script does. */
import { Flex } from '@chakra-ui/react';
import { useLocation } from 'react-router';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Preferences as Chosen } from '../preferences.ts';
import { Select, Small } from './controls.tsx';

function Pick({
  name,
  value,
  options,
  label,
}: {
  name: string;
  value: string;
  options: readonly [string, string][];
  label: string;
}) {
  const { pathname, search } = useLocation();
  return (
    <form method="post" action="/preferences">
      <input type="hidden" name="to" value={pathname + search} />
      <label>
        <Small>{label}</Small>
        <Select
          name={name}
          defaultValue={value}
          w="auto"
          onChange={(event) => event.currentTarget.form?.requestSubmit()}
        >
          {options.map(([key, text]) => (
            <option key={key} value={key}>
              {text}
            </option>
          ))}
        </Select>
      </label>
      <noscript>
        <button type="submit">OK</button>
      </noscript>
    </form>
  );
}

export function Preferences({ chosen }: { chosen: Chosen }) {
  const { t } = useTranslation();
  return (
    <Flex gap={2} className="no-print" align="end" wrap="wrap">
      <Pick
        name="lang"
        label={t('prefs.lang')}
        value={chosen.lang}
        options={[
          ['en', 'English'],
          ['en-US', 'English (US)'],
          ['en-GB', 'English (UK)'],
          ['es', 'Español'],
          ['es-ES', 'Español (España)'],
          ['es-MX', 'Español (México)'],
          ['es-PE', 'Español (Andes)'],
        ]}
      />
      <Pick
        name="system"
        label={t('prefs.system')}
        value={chosen.system ?? ''}
        options={[
          ['', t('prefs.asDrawn')],
          ['metric', t('prefs.metric')],
          ['imperial', t('prefs.imperial')],
        ]}
      />
      <Pick
        name="theme"
        label={t('prefs.theme')}
        value={chosen.theme}
        options={[
          ['light', t('prefs.light')],
          ['night', t('prefs.night')],
          ['sun', t('prefs.sun')],
        ]}
      />
    </Flex>
  );
}
