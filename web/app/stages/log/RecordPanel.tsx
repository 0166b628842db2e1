/** What was done and seen on the job, newest first; a note to add; and what still waits to be sent. */
import { Box, Flex } from '@chakra-ui/react';
import { inTime, type SiteRecord, standing } from '@cimiento/core';
import { useMemo, useState } from 'react';
import { When } from '../../board/When.tsx';
import { useTranslation } from '../../messages/useTranslation.ts';
import { photoUrl } from '../../photo/url.ts';
import { useJobId } from '../../state/jobId.ts';
import { useLog } from '../../state/records.ts';
import { useDesk } from '../../state/store.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { later } from '../../ui/later.tsx';
import { recordText } from '../../ui/records.ts';
import { TextField } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { Panel } from '../fields.tsx';

const Thumb = later(() => import('../../photo/Thumb.tsx'), 'Thumb');

const SHOWN = 3;
/** Older ones shown at a press. */
const A_PRESS = 200;
/** Where this browser's clock is. */
const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function RecordPanel() {
  const { t } = useTranslation();
  const jobId = useJobId();
  const records = useDesk((desk) => desk.records);
  const unsent = useDesk((desk) => desk.unsent);
  const refused = useDesk((desk) => desk.refused);
  const [more, setMore] = useState(0);
  const rows = useMemo(() => inTime(records).toReversed(), [records]);
  const stand = useMemo(() => new Set(standing(records)), [records]);
  const shown = rows.slice(0, SHOWN + more);
  return (
    <Panel title={t('record.title')}>
      <NewNote />
      {unsent.length > 0 && (
        <Small role="status" data-unsent>
          {t('record.waiting', { count: unsent.length })}
        </Small>
      )}
      {refused.length > 0 && <Refusals />}
      {rows.length === 0 && <Small fontSize="sm">{t('record.none')}</Small>}
      <Box as="ol" data-records>
        {shown.map((record) => (
          <Line key={record.id} record={record} stands={stand.has(record)} />
        ))}
      </Box>
      {rows.length > shown.length && (
        <Button size="sm" onClick={() => setMore(more + A_PRESS)}>
          {t('record.older', { count: rows.length - shown.length })}
        </Button>
      )}
      {rows.length > 0 && (
        <a
          href={`/jobs/${jobId}/record.pdf?zone=${encodeURIComponent(ZONE)}`}
          target="_blank"
          rel="noreferrer"
        >
          {t('record.print')}
        </a>
      )}
      {rows.length > 0 && (
        <a
          href={`/jobs/${jobId}/day-sheet.pdf?zone=${encodeURIComponent(ZONE)}`}
          target="_blank"
          rel="noreferrer"
          style={{ display: 'block' }}
        >
          {t('day.sheet')}
        </a>
      )}
      <a
        href={`/jobs/${jobId}/inspection.pdf?zone=${encodeURIComponent(ZONE)}`}
        target="_blank"
        rel="noreferrer"
        style={{ display: 'block' }}
      >
        {t('hold.sheet')} (PDF)
      </a>
    </Panel>
  );
}

/** What the server would not have, each with why: kept here, and offered again by a newer program. */
function Refusals() {
  const { t } = useTranslation();
  const format = useFormat();
  const refused = useDesk((desk) => desk.refused);
  const records = useDesk((desk) => desk.records);
  const plan = useDesk((desk) => desk.plan);
  const retry = useDesk((desk) => desk.retry);
  return (
    <Box role="alert" data-refused>
      <FieldError>{t('record.refused', { count: refused.length })}</FieldError>
      {refused.map(({ id, problems }) => {
        const record = records.find((one) => one.id === id);
        const said = record && recordText(t, format, plan, record);
        return (
          <Small key={id}>
            {said && `${said.what}: ${said.value} · `}
            {problems.map((problem) => problemText(t, format, problem)).join(' ')}
          </Small>
        );
      })}
      <Button size="sm" onClick={retry}>
        {t('record.tryAgain')}
      </Button>
    </Box>
  );
}

function NewNote() {
  const { t } = useTranslation();
  const log = useLog();
  const element = useDesk((desk) => desk.picked);
  const name = useDesk((desk) => desk.plan.elements.find((one) => one.id === desk.picked)?.name);
  const [text, setText] = useState('');
  return (
    <form
      data-log-note
      onSubmit={(event) => {
        event.preventDefault();
        const said = text.trim();
        if (!said) return;
        log('note', { text: said }, { element });
        setText('');
      }}
    >
      <Flex gap={2} align="end">
        <Box flex="1">
          <TextField
            label={name === undefined ? t('record.noteLabel') : t('record.noteOn', { name })}
            value={text}
            maxLength={2000}
            onChange={(event) => setText(event.target.value)}
          />
        </Box>
        <Button type="submit" disabled={text.trim() === ''}>
          {t('record.add')}
        </Button>
      </Flex>
    </form>
  );
}

function Line({ record, stands }: { record: SiteRecord; stands: boolean }) {
  const { t } = useTranslation();
  const jobId = useJobId();
  const format = useFormat();
  const log = useLog();
  const plan = useDesk((desk) => desk.plan);
  const waits = useDesk((desk) => desk.unsent.includes(record.id));
  const corrected = useDesk((desk) =>
    record.corrects === null ? undefined : desk.records.find((one) => one.id === record.corrects),
  );
  const { what, value } = recordText(t, format, plan, record, corrected);
  return (
    <Box
      as="li"
      py={1.5}
      borderBottomWidth="1px"
      borderStyle="solid"
      borderColor="rule"
      data-record={record.kind}
      data-waits={waits}
    >
      <details>
        <Box
          as="summary"
          cursor="pointer"
          fontSize="sm"
          textDecoration={stands || record.value === null ? 'none' : 'line-through'}
          overflowWrap="anywhere"
        >
          {what}: <strong>{value}</strong>
        </Box>
        {record.kind === 'photo' && record.value && (
          <a href={photoUrl(jobId, record.id)} target="_blank" rel="noreferrer">
            <Thumb record={record.id} text={value || what} />
          </a>
        )}
        <Small>
          {record.id.startsWith('old-') ? (
            t('record.unknownBy')
          ) : (
            <>
              <When at={new Date(record.at)} />
              {record.by && ` · ${record.by}`}
            </>
          )}
        </Small>
        {stands && (
          <Button
            size="sm"
            aria-label={t('record.takeBackNamed', { what: `${what} ${value}` })}
            onClick={() => log(record.kind, null, { corrects: record.id, element: record.element })}
          >
            {t('record.takeBack')}
          </Button>
        )}
      </details>
    </Box>
  );
}
