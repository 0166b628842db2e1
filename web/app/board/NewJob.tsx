/** A new job: blank, from a demo, or from a plan file. */

import { Box, Stack } from '@chakra-ui/react';
import type { Problem } from '@cimiento/core';
import { Plus } from 'lucide-react';
import { Form } from 'react-router';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { Button, FieldError, Heading, Select } from '../parts/controls.tsx';
import { useFormat } from '../parts/format.tsx';
import { TextField } from '../parts/TextField.tsx';
import { problemText } from '../parts/words.ts';

/** What was wrong with the last try, and which of the three it was. */
export interface Refused {
  readonly intent: string;
  readonly problems: readonly Problem[];
}

export function NewJob({ actionData, demos }: { actionData: Refused | undefined; demos: readonly string[] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const problems = actionData?.problems ?? [];
  const said = (intent: string) =>
    actionData?.intent === intent && (
      <Box role="alert">
        {problems.map((p) => (
          <FieldError key={p.path + p.code} fontSize="sm">
            {p.path && <code>{p.path} </code>}
            {problemText(t, format, p)}
          </FieldError>
        ))}
      </Box>
    );
  return (
    <Stack
      as="aside"
      gap={5}
      w={{ base: 'full', lg: '20rem' }}
      flexShrink={0}
      borderLeftWidth={{ lg: '1px' }}
      borderStyle="solid"
      borderColor="rule"
      pl={{ lg: 8 }}
    >
      <Heading fontSize="xl">{t('jobs.new')}</Heading>
      <Form method="post">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="blank" />
          <TextField label={t('jobs.name')} name="name" maxLength={80} required />
          <TextField label={t('jobs.place')} name="place" maxLength={120} />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.drawnIn')}
            </Box>
            <Select name="system" defaultValue={format.system}>
              <option value="metric">{t('prefs.metric')}</option>
              <option value="imperial">{t('prefs.imperial')}</option>
            </Select>
          </label>
          {said('blank')}
          <Button type="submit" look="main">
            <Plus size={16} aria-hidden /> {t('jobs.startBlank')}
          </Button>
        </Stack>
      </Form>
      <Form method="post">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="demo" />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.fromDemo')}
            </Box>
            <Select name="demo">
              {demos.map((demo) => (
                <option key={demo} value={demo}>
                  {t(coded(`demo.${demo}`))}
                </option>
              ))}
            </Select>
          </label>
          {said('demo')}
          <Button type="submit">{t('jobs.startDemo')}</Button>
        </Stack>
      </Form>
      <Form method="post" encType="multipart/form-data">
        <Stack gap={2}>
          <input type="hidden" name="intent" value="file" />
          <label>
            <Box as="span" fontSize="sm">
              {t('jobs.fromFile')}
            </Box>
            <input
              type="file"
              name="file"
              accept=".json,application/json"
              style={{ display: 'block', width: '100%', padding: '6px 0' }}
            />
          </label>
          {said('file')}
          <Button type="submit">{t('jobs.startFile')}</Button>
        </Stack>
      </Form>
    </Stack>
  );
}
