/** Ways in, permits and notices, and how far a level may be off: lists of a job, typed where they are seen. */
import { Box } from '@chakra-ui/react';
import {
  CHECK_TOLERANCE,
  FIELDS,
  nextName,
  outOfRange,
  PERMITS,
  type Plan,
  parseQuantity,
  permitTroubles,
  TYPICAL_LIMITS,
  wayTroubles,
} from '@cimiento/core';
import { useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { dayText } from '../ui/days.ts';
import { useFormat } from '../ui/format.tsx';
import { today } from '../ui/today.ts';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';

type Way = Plan['site']['ways'][number];
type Range = Parameters<typeof outOfRange>[0];

export function PapersView() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const plan = useDesk((desk) => desk.plan);
  const { edit } = store.getState();
  const { ways } = plan.site;
  const length = (v: number) => format.text(v, 'length');
  return (
    <Box display="grid" gap={2.5} px={3} pb={4} data-papers-view>
      <Box fontSize="lg" fontWeight={600}>
        {t('way.list')}
      </Box>
      {wayTroubles(plan).map((trouble) => (
        <Word tone="stop" key={JSON.stringify(trouble)} data-way-trouble={trouble.code}>
          {trouble.code === 'narrow'
            ? t('way.narrow', { what: trouble.what, width: length(trouble.size), name: trouble.way })
            : trouble.code === 'low'
              ? t('way.low', { what: trouble.what, height: length(trouble.size), name: trouble.way })
              : t(`way.${trouble.code}`, { name: trouble.way })}
        </Word>
      ))}
      {ways.map((way, i) => (
        <WayFields
          key={way.id}
          way={way}
          onChange={(change) =>
            edit((d) => {
              Object.assign(d.site.ways[i]!, change);
            }, `way:${way.id}`)
          }
          onRemove={() =>
            edit((d) => {
              d.site.ways.splice(i, 1);
            })
          }
        />
      ))}
      <Press
        onClick={() =>
          edit((d) => {
            const id = nextName(
              'way-',
              d.site.ways.map((one) => one.id),
            );
            d.site.ways.push({
              id,
              name: `${t('way.title')} ${d.site.ways.length + 1}`,
              width: null,
              height: null,
              lawn: false,
              boards: false,
              leave: null,
              cleaned: false,
            });
          })
        }
      >
        {t('way.add')}
      </Press>
      <Limits />
      <Box fontSize="lg" fontWeight={600} pt={2}>
        {t('permit.list')}
      </Box>
      <Box fontSize="md">{t('permit.noLaw')}</Box>
      {permitTroubles(plan, today(plan.water.zone)).map(({ code, kind, name, until }) => (
        <Word tone="stop" key={`${code}${kind}${name}`}>
          {t(`permit.${code}`, { what: name || t(`permit.kind.${kind}`), when: dayText(format.lang, until) })}
        </Word>
      ))}
      {plan.permits.map((permit, i) => {
        const put = (change: Partial<Plan['permits'][number]>) =>
          edit((d) => {
            Object.assign(d.permits[i]!, change);
          }, `permit:${permit.id}`);
        return (
          <Box
            key={permit.id}
            display="grid"
            gap={1.5}
            borderTopWidth="1px"
            borderStyle="solid"
            borderColor="edge"
            pt={2}
          >
            <Pick
              aria-label={t('permit.title')}
              value={permit.kind}
              onChange={(e) => put({ kind: e.target.value as typeof permit.kind })}
            >
              {PERMITS.map((one) => (
                <option key={one} value={one}>
                  {t(`permit.kind.${one}`)}
                </option>
              ))}
            </Pick>
            <Label text={t('permit.number')}>
              <Typed value={permit.number} maxLength={60} onChange={(e) => put({ number: e.target.value })} />
            </Label>
            <Label text={t('permit.until')}>
              <Typed type="date" value={permit.until} onChange={(e) => put({ until: e.target.value })} />
            </Label>
            <Press aria-pressed={permit.held} onClick={() => put({ held: !permit.held })}>
              {t('permit.held')}
            </Press>
          </Box>
        );
      })}
      <Press
        onClick={() =>
          edit((d) => {
            const id = nextName(
              'permit-',
              d.permits.map((one) => one.id),
            );
            d.permits.push({ id, kind: 'permit', name: '', number: '', until: '', held: false });
          })
        }
      >
        {t('permit.add')}
      </Press>
    </Box>
  );
}

const LIMITS = ['formationOver', 'formationUnder', 'bed', 'lean', 'footing', 'check'] as const;
/** What counts where nobody has typed one, m. */
const TYPICAL: Readonly<Record<(typeof LIMITS)[number], number>> = {
  formationOver: TYPICAL_LIMITS.formation.over,
  formationUnder: TYPICAL_LIMITS.formation.under,
  bed: TYPICAL_LIMITS.bed.over,
  lean: TYPICAL_LIMITS.lean.over,
  footing: TYPICAL_LIMITS.footing.over,
  check: CHECK_TOLERANCE,
};

/** How far a level may be off: by the job’s specification; empty: as is typical. */
function Limits() {
  const { t } = useTranslation();
  const format = useFormat();
  const limits = useDesk((desk) => desk.plan.levels.limits);
  const { edit } = useDeskStore().getState();
  return (
    <details>
      <summary style={{ minHeight: 48, fontSize: '1.125rem', fontWeight: 600, paddingTop: 10 }}>
        {t('shot.limits')}
      </summary>
      <Box display="grid" gap={2}>
        {LIMITS.map((name) => (
          <Size
            key={name}
            label={t(`shot.limit.${name}`)}
            placeholder={format.text(TYPICAL[name], 'size')}
            range={FIELDS[`/levels/limits/${name}`]}
            value={limits[name]}
            onSize={(value) =>
              edit((d) => {
                d.levels.limits[name] = value;
              })
            }
          />
        ))}
      </Box>
    </details>
  );
}

function WayFields({
  way,
  onChange,
  onRemove,
}: {
  way: Way;
  onChange: (change: Partial<Way>) => void;
  onRemove: () => void;
}) {
  const { t } = useTranslation();
  return (
    <Box
      display="grid"
      gap={1.5}
      borderTopWidth="1px"
      borderStyle="solid"
      borderColor="edge"
      pt={2}
      data-way={way.id}
    >
      <Typed
        aria-label={t('way.title')}
        value={way.name}
        maxLength={80}
        onChange={(e) => e.target.value && onChange({ name: e.target.value })}
      />
      <Size
        label={t('way.width')}
        range={FIELDS['/site/ways/*/width']}
        value={way.width}
        onSize={(width) => onChange({ width })}
      />
      <Size
        label={t('way.height')}
        range={FIELDS['/site/ways/*/height']}
        value={way.height}
        onSize={(height) => onChange({ height })}
      />
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap={1.5}>
        {(['lawn', 'boards', 'cleaned'] as const).map((key) => (
          <Press
            key={key}
            fontSize="md"
            aria-pressed={way[key]}
            onClick={() => onChange({ [key]: !way[key] })}
          >
            {t(`way.${key}`)}
          </Press>
        ))}
        <Press
          fontSize="md"
          aria-pressed={way.leave !== null}
          onClick={() => onChange({ leave: way.leave === null ? { who: '', when: '' } : null })}
        >
          {t('way.leave')}
        </Press>
      </Box>
      {way.leave && (
        <>
          <Label text={t('way.leaveWho')}>
            <Typed
              value={way.leave.who}
              maxLength={80}
              onChange={(e) => onChange({ leave: { who: e.target.value, when: way.leave!.when } })}
            />
          </Label>
          <Label text={t('way.leaveWhen')}>
            <Typed
              type="date"
              value={way.leave.when}
              onChange={(e) => onChange({ leave: { who: way.leave!.who, when: e.target.value } })}
            />
          </Label>
        </>
      )}
      <Press look="quiet" onClick={onRemove}>
        {t('obstruction.remove', { name: way.name })}
      </Press>
    </Box>
  );
}

/** A size somebody may not know, or a job does not say. */
function Size({
  label,
  value,
  range,
  placeholder,
  onSize,
}: {
  label: string;
  value: number | null;
  range: Range;
  placeholder?: string;
  onSize: (v: number | null) => void;
}) {
  const { t } = useTranslation();
  const format = useFormat();
  const { kind } = range;
  const [text, setText] = useState(value === null ? '' : format.parts(value, kind).number);
  const [problem, setProblem] = useState<string | null>(null);
  const leave = () => {
    setProblem(null);
    if (text.trim() === '') return onSize(null);
    const parsed = parseQuantity(text, kind, format.system, format.lang);
    if (!parsed.ok) return setProblem(t(`field.${parsed.code}`, { text }));
    if (outOfRange(range, parsed.value))
      return setProblem(
        t('field.range', { min: format.text(range.min, kind), max: format.text(range.max, kind) }),
      );
    onSize(parsed.value);
  };
  return (
    <Label text={label}>
      <Typed
        value={text}
        inputMode="decimal"
        placeholder={placeholder}
        aria-invalid={problem !== null}
        onChange={(e) => setText(e.target.value)}
        onBlur={leave}
      />
      {problem && (
        <Box color="held" fontSize="md">
          {problem}
        </Box>
      )}
    </Label>
  );
}
