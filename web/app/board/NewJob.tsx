/** A new job: what one would say on the phone, from a demo, or from a plan file. */

import { Box, Flex, Stack } from '@chakra-ui/react';
import {
  FIRST_KINDS,
  type FirstKind,
  FOOT,
  FOOTED,
  INCH,
  type Problem,
  SOIL_KINDS,
  type System,
  WALLED,
} from '@cimiento/core';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Form } from 'react-router';
import { type Asked, SIZES } from '../firstAsked.ts';
import { coded } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { placeText } from '../ui/changes.ts';
import { Button, FieldError, Heading, Select, Small } from '../ui/controls.tsx';
import { fileProblemText } from '../ui/fileProblems.ts';
import { makeFormat, useFormat } from '../ui/format.tsx';
import { TextField } from '../ui/TextField.tsx';

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
            {p.path && <strong>{placeText(t, p.path)}: </strong>}
            {fileProblemText(t, format, p)}
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
      <First problems={actionData?.intent === 'first' ? problems : []} />
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

const NOTHING = '' as const;

/** What one would say on the phone. All but the name may be left out. */
function First({ problems }: { problems: readonly Problem[] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const [kind, setKind] = useState<FirstKind | typeof NOTHING>(NOTHING);
  const [system, setSystem] = useState<System>(format.system);
  const metric = system === 'metric';
  const problem = (field: string) => {
    const found = problems.find(({ path }) => path === `/${field}`);
    return found && fileProblemText(t, format, found);
  };
  /** What is typed, with an example beside it as its reader would write it. */
  const text = (field: Asked, eg: readonly [number, number]) => {
    const size = SIZES.includes(field);
    const example = makeFormat(format.lang, system).text(eg[metric ? 0 : 1], size ? 'size' : 'length');
    return (
      <TextField
        label={t(`first.${field}`)}
        hint={t('first.eg', { example })}
        name={field}
        maxLength={20}
        problem={problem(field)}
        autoComplete="off"
      />
    );
  };
  const count = (field: 'cross' | 'along' | 'across', start: number) => (
    <TextField
      label={t(`first.${field}`)}
      name={field}
      type="number"
      min={field === 'cross' ? 0 : 1}
      max={20}
      defaultValue={start}
      problem={problem(field)}
    />
  );
  return (
    <Form method="post" data-first>
      <Stack gap={2}>
        <input type="hidden" name="intent" value="first" />
        <TextField
          label={t('jobs.name')}
          name="name"
          maxLength={80}
          required
          autoComplete="off"
          problem={problem('name')}
        />
        <Pick
          label={t('first.kind')}
          name="kind"
          value={kind}
          onChange={(value) => setKind(value as FirstKind | typeof NOTHING)}
          options={[
            [NOTHING, t('first.later')],
            ...FIRST_KINDS.map((one): [string, string] => [one, t(`first.kinds.${one}`)]),
          ]}
        />
        {kind !== NOTHING && (
          <Flex gap={2}>
            {text('length', [14.4, 48 * FOOT])}
            {WALLED.includes(kind) && text('thick', [0.25, 10 * INCH])}
            {kind !== 'trench' && !WALLED.includes(kind) && text('width', [8.4, 28 * FOOT])}
          </Flex>
        )}
        {kind === 'ring' && count('cross', 1)}
        {kind === 'pads' && (
          <Flex gap={2}>
            {count('along', 3)}
            {count('across', 2)}
          </Flex>
        )}
        {kind === 'round' && text('apart', [2.8, 9 * FOOT])}
        {kind !== NOTHING && kind !== 'underpin' && FOOTED.includes(kind) && (
          <Flex gap={2}>
            {text('footWidth', [0.6, 24 * INCH])}
            {text('footThick', [0.3, 12 * INCH])}
          </Flex>
        )}
        {kind === 'underpin' && (
          <Flex gap={2}>
            {text('old', [0.6, 2 * FOOT])}
            {text('down', [2.4, 8 * FOOT])}
          </Flex>
        )}
        {kind === 'stream' && (
          <>
            {text('away', [3, 10 * FOOT])}
            <Flex gap={2}>
              {text('deep', [0.4, 1.5 * FOOT])}
              {text('flood', [0.3, FOOT])}
            </Flex>
          </>
        )}
        {text('frost', [0.95, 38 * INCH])}
        <Pick
          label={t('first.soil')}
          name="soil"
          options={[
            [NOTHING, t('first.nobody')],
            ...SOIL_KINDS.filter((one) => one !== 'topsoil').map((one): [string, string] => [
              one,
              t(`soil.${one}`),
            ]),
          ]}
        />
        {text('water', [1.2, 4 * FOOT])}
        <Pick
          label={t('first.near')}
          name="near"
          options={[
            [NOTHING, t('first.unknown')],
            ['yes', t('first.yes')],
            ['no', t('first.no')],
          ]}
        />
        <TextField label={t('first.call')} name="call" maxLength={120} autoComplete="off" />
        <TextField label={t('jobs.place')} name="place" maxLength={120} autoComplete="off" />
        <Pick
          label={t('jobs.drawnIn')}
          name="system"
          value={system}
          onChange={(value) => setSystem(value as System)}
          options={[
            ['metric', t('prefs.metric')],
            ['imperial', t('prefs.imperial')],
          ]}
        />
        <Small>{t('first.note')}</Small>
        <Button type="submit" look="main">
          <Plus size={16} aria-hidden /> {t('first.start')}
        </Button>
      </Stack>
    </Form>
  );
}

function Pick({
  label,
  name,
  options,
  value,
  onChange,
}: {
  label: string;
  name: string;
  options: readonly [string, string][];
  value?: string;
  onChange?: (value: string) => void;
}) {
  return (
    <label>
      <Box as="span" fontSize="sm">
        {label}
      </Box>
      <Select
        name={name}
        {...(value !== undefined && { value })}
        onChange={(event) => onChange?.(event.target.value)}
      >
        {options.map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </Select>
    </label>
  );
}
