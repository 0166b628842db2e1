/** What happened today: pick what to log, a few large fields, and what stands logged already. */
import { Box, Flex } from '@chakra-ui/react';
import {
  DELIVERED_IN,
  DELIVERIES,
  type Delivery,
  heapFault,
  heapVolume,
  type Kind,
  loadsOf,
  MEASURES,
  NOTICES,
  outOfRange,
  type Plan,
  parseQuantity,
  type RecordKindId,
  type RecordValue,
  reportOf,
  roomFor,
  STOP_CAUSES,
  wedge,
} from '@cimiento/core';
import { useMemo, useState } from 'react';
import { coded, type Say } from '../messages/keys.ts';
import { useTranslation } from '../messages/useTranslation.ts';
import { Thumb } from '../photo/Thumb.tsx';
import { useLog } from '../state/records.ts';
import { useDesk } from '../state/store.ts';
import { type Format, useFormat } from '../ui/format.tsx';
import { recordText } from '../ui/records.ts';
import { clockOf, today } from '../ui/today.ts';
import { Finger } from './Finger.tsx';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';

/** A field of a form: a number within what may be typed, words, one of several, a time of day, a finger. */
type Field =
  | { readonly key: string; readonly measure: keyof typeof MEASURES; readonly optional?: true }
  | { readonly key: string; readonly words: number; readonly optional?: true }
  | { readonly key: string; readonly choices: (plan: Plan, t: Say) => readonly (readonly [string, string])[] }
  | { readonly key: string; readonly time: true; readonly optional?: true }
  | { readonly key: string; readonly finger: true };

type Entries = Readonly<Record<string, string>>;
/** Numbers by key, null where none was typed. */
type Numbers = Readonly<Record<string, number | null>>;

interface FormOf<K extends RecordKindId> {
  readonly kind: K;
  readonly fields: (typed: Entries) => readonly Field[];
  readonly value: (day: string, typed: Entries, numbers: Numbers) => RecordValue<K>;
  /** What is wrong with it as a whole, in words; null: nothing. */
  readonly fault?: (value: RecordValue<K>, t: Say, format: Format) => string | null;
  /** What it comes to, before it is logged. */
  readonly comesTo?: (value: RecordValue<K>, t: Say, format: Format, plan: Plan) => string;
}
const form = <K extends RecordKindId>(of: FormOf<K>): FormOf<RecordKindId> =>
  // A row is only ever given its own kind's values.
  of as unknown as FormOf<RecordKindId>;

const trucks = (plan: Plan) => plan.spoil.trucks.map(({ id, name }) => [id, name] as const);
const machines = (plan: Plan) => plan.dig.machines.map(({ id, name }) => [id, name] as const);
/** Kinds of soil of the job, each once; first that nobody said. */
const soils = (plan: Plan, t: Say) => [
  ['', t('day.anySoil')] as const,
  ...[...new Set(plan.ground.soils.map(({ kind }) => kind))].map(
    (kind) => [kind, t(`soil.${kind}`)] as const,
  ),
];
const volumeOr = (of: string, volume: keyof typeof MEASURES, mass: keyof typeof MEASURES) =>
  DELIVERED_IN[of as Delivery] === 'mass' ? mass : volume;

const FORMS: readonly FormOf<RecordKindId>[] = [
  form({
    kind: 'worked',
    fields: () => [
      { key: 'who', words: 80 },
      { key: 'hours', measure: 'workedHours' },
      { key: 'at', words: 120, optional: true },
    ],
    value: (day, { who = '', at = '' }, { hours }) => ({ day, who, hours: hours!, at }),
  }),
  form({
    kind: 'dug',
    fields: () => [
      { key: 'machine', choices: machines },
      { key: 'volume', measure: 'dugVolume' },
      { key: 'hours', measure: 'dugHours' },
      { key: 'soil', choices: soils },
    ],
    value: (day, { machine = '', soil = '' }, { volume, hours }) => ({
      machine,
      when: day,
      volume: volume!,
      hours: hours!,
      soil: (soil || null) as NonNullable<RecordValue<'dug'>['soil']> | null,
    }),
  }),
  form({
    kind: 'handDug',
    fields: () => [
      { key: 'volume', measure: 'handLoose' },
      { key: 'hours', measure: 'handHours' },
    ],
    value: (_day, _typed, { volume, hours }) => ({ volume: volume!, hours: hours! }),
  }),
  form({
    kind: 'hauled',
    fields: () => [
      { key: 'truck', choices: trucks },
      { key: 'loads', measure: 'hauledLoads' },
      { key: 'loose', measure: 'hauledLoose' },
      {
        key: 'all',
        choices: (_plan, t) => (['part', 'all'] as const).map((one) => [one, t(`day.${one}Out`)]),
      },
      { key: 'trip', measure: 'hauledTrip', optional: true },
      { key: 'ticket', words: 80, optional: true },
    ],
    value: (day, { truck = '', ticket = '', all = '' }, { loads, loose, trip }) => ({
      day,
      truck,
      loads: loads!,
      volume: loose!,
      ticket,
      trip: trip ?? null,
      all: all === 'all',
    }),
    fault: ({ loads }, t) =>
      Number.isInteger(loads) ? null : t('problem.wholeNumber', { value: String(loads) }),
  }),
  form({
    kind: 'delivered',
    fields: ({ of = 'stone' }) => [
      { key: 'of', choices: (_plan, t) => DELIVERIES.map((one) => [one, t(`record.of.${one}`)] as const) },
      { key: 'ordered', measure: volumeOr(of, 'deliveredVolume', 'deliveredMass'), optional: true },
      { key: 'came', measure: volumeOr(of, 'deliveredVolume', 'deliveredMass') },
      { key: 'left', measure: volumeOr(of, 'leftVolume', 'leftMass'), optional: true },
      { key: 'due', time: true, optional: true },
      { key: 'arrived', time: true, optional: true },
      { key: 'ticket', words: 80, optional: true },
    ],
    value: (day, { of = 'stone', due = '', arrived = '', ticket = '' }, { ordered, came, left }) => ({
      day,
      of: of as Delivery,
      ordered: ordered ?? null,
      came: came!,
      left: left ?? 0,
      due: due || null,
      arrived: arrived || null,
      ticket,
    }),
    fault: ({ of, came, left }, t, format) =>
      left > came ? t('problem.leftOver', { value: format.text(left, DELIVERED_IN[of]) }) : null,
  }),
  form({
    kind: 'heap',
    fields: () => [
      { key: 'a', measure: 'heapFoot' },
      { key: 'b', measure: 'heapFoot' },
      { key: 'height', measure: 'heapHeight' },
      { key: 'angle', measure: 'heapAngle' },
    ],
    value: (day, _typed, { a, b, height, angle }) => ({
      day,
      a: a!,
      b: b!,
      height: height!,
      angle: angle!,
    }),
    fault: (heap, t, format) => {
      const least = heapFault(heap);
      const length = (value: number) => format.text(value, 'length');
      return least === null
        ? null
        : t('problem.heapFoot', { min: length(least), value: length(Math.min(heap.a, heap.b)) });
    },
    comesTo: (heap, t, format, plan) => {
      const volume = heapVolume(heap) ?? 0;
      return [
        t('day.heapIs', { volume: format.text(volume, 'volume') }),
        // Nobody has weighed it: by its volume alone.
        ...plan.spoil.trucks.map((truck) => {
          const { loads, lastFill } = loadsOf(truck, volume, 0);
          return t('day.heapLoads', {
            count: loads,
            truck: truck.name,
            fill: format.text(lastFill, 'percent', { decimals: 0 }),
          });
        }),
      ].join(' ');
    },
  }),
  form({
    kind: 'arrived',
    fields: () => [
      { key: 'truck', choices: trucks },
      { key: 'due', time: true, optional: true },
      { key: 'arrivedAt', time: true },
      { key: 'bucketfuls', measure: 'bucketfuls' },
      { key: 'bucket', measure: 'bucketHolds' },
      { key: 'room', measure: 'truckRoom' },
      { key: 'note', words: 400, optional: true },
    ],
    value: (day, { truck = '', due = '', arrivedAt = '', note = '' }, { bucketfuls, bucket, room }) => ({
      day,
      truck,
      due: due || null,
      came: arrivedAt,
      bucketfuls: bucketfuls!,
      bucket: bucket!,
      room: room!,
      note,
    }),
    comesTo: (value, t, format) => {
      const { left, over } = roomFor(value);
      const volume = (of: number) => format.text(of, 'volume');
      return over > 0
        ? t('day.roomShort', { left: volume(left), over: volume(over) })
        : t('day.roomEnough', { left: volume(left) });
    },
  }),
  form({
    kind: 'pumped',
    fields: () => [
      { key: 'hours', measure: 'pumpHours' },
      { key: 'level', measure: 'pumpLevel', optional: true },
    ],
    value: (day, _typed, { hours, level }) => ({ day, hours: hours!, level: level ?? null }),
  }),
  form({
    kind: 'weather',
    fields: () => [
      { key: 'rain', measure: 'dayRain', optional: true },
      { key: 'low', measure: 'dayTemperature', optional: true },
      { key: 'high', measure: 'dayTemperature', optional: true },
      { key: 'note', words: 200, optional: true },
    ],
    value: (day, { note = '' }, { rain, low, high }) => ({
      day,
      rain: rain ?? null,
      low: low ?? null,
      high: high ?? null,
      note,
    }),
    fault: ({ low, high }, t) =>
      low !== null && high !== null && low > high ? t('problem.coldOverWarm') : null,
  }),
  form({
    kind: 'stopped',
    fields: () => [
      {
        key: 'cause',
        choices: (_plan, t) => STOP_CAUSES.map((one) => [one, t(`record.cause.${one}`)] as const),
      },
      { key: 'hours', measure: 'stopHours' },
      { key: 'price', measure: 'stopHourPrice', optional: true },
      { key: 'note', words: 400, optional: true },
    ],
    value: (day, { cause = 'rock', note = '' }, { hours, price }) => ({
      day,
      cause: cause as RecordValue<'stopped'>['cause'],
      hours: hours!,
      price: price ?? null,
      note,
    }),
  }),
  form({
    kind: 'fell',
    fields: () => [
      { key: 'length', measure: 'fellLength' },
      { key: 'height', measure: 'fellHeight' },
      { key: 'back', measure: 'fellBack' },
      { key: 'note', words: 400, optional: true },
    ],
    value: (day, { note = '' }, { length, height, back }) => ({
      day,
      length: length!,
      height: height!,
      back: back!,
      note,
    }),
    comesTo: (value, t, format) => t('day.fellAgain', { volume: format.text(wedge(value), 'volume') }),
  }),
  form({
    kind: 'noticed',
    fields: () => [
      {
        key: 'what',
        choices: (_plan, t) => NOTICES.map((one) => [one, t(`record.notice.${one}`)] as const),
      },
      { key: 'text', words: 400 },
    ],
    value: (day, { what = 'nearMiss', text = '' }) => ({
      day,
      what: what as RecordValue<'noticed'>['what'],
      text,
    }),
  }),
  form({
    kind: 'handover',
    fields: () => [
      { key: 'from', words: 80 },
      { key: 'to', words: 80 },
      { key: 'done', words: 400 },
      { key: 'open', words: 400, optional: true },
      { key: 'keepOff', words: 400, optional: true },
      { key: 'fromFinger', finger: true },
      { key: 'toFinger', finger: true },
    ],
    value: (
      day,
      { from = '', to = '', done = '', open = '', keepOff = '', fromFinger = '', toFinger = '' },
    ) => ({
      day,
      from,
      to,
      done,
      open,
      keepOff,
      fromFinger,
      toFinger,
    }),
  }),
];

export function DayView({ jobId, onPhoto }: { jobId: string; onPhoto: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const records = useDesk((desk) => desk.records);
  const zone = clockOf(plan.water.zone);
  const day = today(plan.water.zone);
  const [open, setOpen] = useState<RecordKindId | null>(null);
  const report = useMemo(() => reportOf(records, day, zone), [records, day, zone]);
  const chosen = FORMS.find(({ kind }) => kind === open);
  if (chosen) return <Form key={chosen.kind} of={chosen} day={day} onDone={() => setOpen(null)} />;
  const hours = (value: number) => format.text(value, 'hours');
  const totals = [
    ...(report.personHours > 0
      ? [t('day.people', { count: report.people.length, hours: hours(report.personHours) })]
      : []),
    ...(report.machines.length > 0
      ? [
          t('day.dug', {
            volume: format.text(
              report.machines.reduce((sum, { volume }) => sum + volume, 0),
              'volume',
            ),
          }),
        ]
      : []),
    ...(report.loads.count > 0 ? [t('day.loads', { count: report.loads.count })] : []),
    ...(report.stopHours > 0 ? [t('day.stood', { hours: hours(report.stopHours) })] : []),
  ];
  return (
    <Box display="grid" gap={2.5} px={3} data-day={day}>
      {totals.length > 0 && <Word>{totals.join(' · ')}</Word>}
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap={1.5}>
        {FORMS.map(({ kind }) => (
          <Press key={kind} fontSize="md" data-log={kind} onClick={() => setOpen(kind)}>
            {t(`record.${kind}`)}
          </Press>
        ))}
        <Press fontSize="md" data-log="photo" onClick={onPhoto}>
          {t('record.photo')}
        </Press>
      </Box>
      <Box as="h2" fontSize="lg" fontWeight={600} pt={2}>
        {t('day.logged')}
      </Box>
      {report.records.length === 0 && <Box fontSize="md">{t('day.nothing')}</Box>}
      <Box as="ul" listStyleType="none" display="grid" gap={1} data-logged={report.records.length}>
        {report.records.map((record) => {
          const { what, value } = recordText(t, format, plan, record);
          return (
            <Box
              as="li"
              key={record.id}
              fontSize="md"
              borderBottomWidth="1px"
              borderStyle="solid"
              borderColor="rule"
              py={1}
            >
              <b>{what}</b> {value}
              {record.kind === 'photo' && record.value && (
                <Box w="45%">
                  <Thumb record={record.id} text={value || what} keeps />
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      <Box textAlign="center" fontSize="lg" minH="48px" pt={2}>
        <a href={`/jobs/${jobId}/day-sheet.pdf?day=${day}&zone=${encodeURIComponent(zone)}`}>
          {t('day.sheet')}
        </a>
      </Box>
    </Box>
  );
}

function Form({ of, day, onDone }: { of: FormOf<RecordKindId>; day: string; onDone: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const log = useLog();
  const [typed, setTyped] = useState<Entries>({});
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const fields = of.fields(typed);
  const put = (key: string, text: string) => setTyped((now) => ({ ...now, [key]: text }));

  /** What was typed as a value; null, and every field's own problem said, when it is none yet. */
  const read = (said: boolean): RecordValue<RecordKindId> | null => {
    const wrong: Record<string, string> = {};
    const numbers: Record<string, number | null> = {};
    const texts: Record<string, string> = { ...typed };
    for (const field of fields) {
      const text = (typed[field.key] ?? '').trim();
      if ('choices' in field) texts[field.key] = text || (field.choices(plan, t)[0]?.[0] ?? '');
      else if ('finger' in field) texts[field.key] = text;
      else if (text === '') {
        if (!field.optional) wrong[field.key] = t('day.needed');
        if ('measure' in field) numbers[field.key] = null;
      } else if ('measure' in field) {
        const range: { kind: Kind; min: number; max: number } = MEASURES[field.measure];
        const parsed = parseQuantity(text, range.kind, format.system, format.lang);
        if (!parsed.ok) wrong[field.key] = t(`field.${parsed.code}`, { text });
        else if (outOfRange(range, parsed.value))
          wrong[field.key] = t('field.range', {
            min: format.text(range.min, range.kind),
            max: format.text(range.max, range.kind),
          });
        else numbers[field.key] = parsed.value;
      } else texts[field.key] = text;
    }
    if (Object.keys(wrong).length > 0) {
      if (said) setProblems(wrong);
      return null;
    }
    const value = of.value(day, texts, numbers);
    const fault = of.fault?.(value, t, format) ?? null;
    if (said) setProblems(fault === null ? {} : { '': fault });
    return fault === null ? value : null;
  };
  const now = of.comesTo ? read(false) : null;
  return (
    <Box
      as="form"
      display="grid"
      gap={3}
      px={3}
      data-form={of.kind}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        const value = read(true);
        if (value === null) return;
        log(of.kind, value as never);
        onDone();
      }}
    >
      <Box as="h2" fontSize="xl" fontWeight={600}>
        {t(`record.${of.kind}`)}
      </Box>
      {fields.map((field) => {
        const label = t(coded(`day.field.${field.key}`));
        const wrong = problems[field.key];
        if ('finger' in field)
          return (
            <Box key={field.key}>
              <Box fontSize="md" fontWeight={500}>
                {label}
              </Box>
              <Finger value="" onSigned={(path) => put(field.key, path)} />
            </Box>
          );
        return (
          <Label key={field.key} text={label}>
            {'choices' in field ? (
              <Pick
                value={typed[field.key] ?? ''}
                name={field.key}
                onChange={(e) => put(field.key, e.target.value)}
              >
                {field.choices(plan, t).map(([value, text]) => (
                  <option key={value} value={value}>
                    {text}
                  </option>
                ))}
              </Pick>
            ) : (
              <Typed
                name={field.key}
                type={'time' in field ? 'time' : 'text'}
                inputMode={'measure' in field ? 'decimal' : undefined}
                maxLength={'words' in field ? field.words : 40}
                value={typed[field.key] ?? ''}
                aria-invalid={wrong !== undefined}
                aria-describedby={wrong === undefined ? undefined : `${field.key}-wrong`}
                onChange={(e) => put(field.key, e.target.value)}
              />
            )}
            {wrong !== undefined && (
              <Box id={`${field.key}-wrong`} role="alert" color="held" fontWeight={600}>
                {wrong}
              </Box>
            )}
          </Label>
        );
      })}
      {now !== null && of.comesTo && <Word data-comes-to={of.kind}>{of.comesTo(now, t, format, plan)}</Word>}
      {problems[''] !== undefined && <Word tone="stop">{problems['']}</Word>}
      <Flex gap={2}>
        <Press type="button" look="quiet" onClick={onDone}>
          {t('inHole.back')}
        </Press>
        <Press type="submit" look="main" data-log-it>
          {t('day.log')}
        </Press>
      </Flex>
    </Box>
  );
}
