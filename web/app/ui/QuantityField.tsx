/**
 * A field for one quantity. Takes what people write, shows what it understood, keeps what was
 * typed while it is wrong, and says why at the field. A good value is committed as it is typed; one that is
 * another by far may be half a number, and is committed when the field is left.
 */
import { Box, Flex } from '@chakra-ui/react';
import {
  FIELDS,
  fromSI,
  KINDS,
  MEASURES,
  outOfRange,
  parseQuantity,
  printEntry,
  printQuantity,
  REPLACEMENT_RANGES,
  toSI,
} from '@cimiento/core';
import { memo, useCallback, useEffect, useId, useRef, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import { FieldError, Input, Small } from './controls.tsx';
import { useFormat } from './format.tsx';
import { afterPress } from './pressed.ts';
import { farFrom } from './typing.ts';

export interface QuantityFieldProps {
  readonly label: string;
  readonly hint?: string;
  /** The field of the plan, or what of a record it is, or is like: its kind and its limits. */
  readonly range: RangeId;
  readonly value: number | null;
  /** Called with each value that may stand; null when an optional field is emptied. */
  readonly onCommit: (value: number | null) => void;
  /** Called when the person leaves the field: what they typed there was one edit. */
  readonly onSettle?: () => void;
  /** What stands in an empty optional field, SI. */
  readonly placeholder?: number | undefined;
  readonly optional?: boolean;
  /** A problem found elsewhere that belongs to this field. */
  readonly problem?: string | undefined;
  readonly width?: string;
  readonly stacked?: boolean;
  /** Its label is only read out: what it is stands beside it already. */
  readonly bare?: boolean;
  /** Currency of a price: stands before its unit. */
  readonly money?: string;
}

/** What may be typed: numbers of plans and of records. */
const RANGES = { ...FIELDS, ...MEASURES, ...REPLACEMENT_RANGES };
export type RangeId = keyof typeof RANGES;

/** One press of an arrow key, in the shown unit, by kind. */
const NUDGE: Partial<Record<string, readonly [metric: number, imperial: number]>> = {
  size: [10, 1],
  length: [0.05, 1 / 12],
  taped: [0.001, 1 / 96],
  level: [0.01, 1 / 24],
  slope: [0.25, 0.25],
  percent: [1, 1],
};

/** Typing rests after so long without a key, ms. */
const REST = 1200;

/**
 * Drawn again only when something it shows changes: a desk holds dozens, and every edit passes by
 * them all. The newest onCommit is reached through a ref, so a new closure alone draws nothing.
 */
export function QuantityField({ onCommit, ...shown }: QuantityFieldProps) {
  const newest = useRef(onCommit);
  newest.current = onCommit;
  const commit = useCallback((value: number | null) => newest.current(value), []);
  return <Field {...shown} onCommit={commit} />;
}

const Field = memo(function Field(props: QuantityFieldProps) {
  const {
    onSettle,
    label,
    hint,
    range,
    value,
    onCommit,
    optional = false,
    placeholder,
    problem,
    width = '7.2rem',
    stacked,
    bare = false,
    money,
  } = props;
  const { t } = useTranslation();
  const format = useFormat();
  const { lang, system } = format;
  const { kind, min, max } = RANGES[range];
  const unit = KINDS[kind][system];
  const shown = value === null ? '' : printEntry(value, kind, system, lang);
  const [text, setText] = useState(shown);
  const [error, setError] = useState<string | null>(null);
  const [editing, setEditing] = useState(false);
  const known = useRef(value);
  /** What stood there when it was come to. */
  const before = useRef(value);
  /** Typed, and too far from what stood there to be taken for a whole number yet. */
  const held = useRef<number | null>(null);
  /** Outside its limits: told once the typing rests, or the field is left. */
  const [outside, setOutside] = useState(false);
  // As it stands when a press is over: the press may have changed it.
  const latest = useRef({ shown, error });
  latest.current = { shown, error };
  const id = useId();

  // A value changed from outside (undo, drag, another field) replaces the text, unless the
  // person is in the middle of typing something here.
  useEffect(() => {
    if (value === known.current) {
      if (!editing && error === null) setText(shown);
      return;
    }
    known.current = value;
    setText(shown);
    setError(null);
  }, [value, shown, editing, error]);

  const read = (typed: string): { error: string; outside: boolean } | { value: number | null } => {
    if (typed.trim() === '') return optional ? { value: null } : { error: t('field.empty'), outside: false };
    const parsed = parseQuantity(typed, kind, system, lang);
    if (!parsed.ok) return { error: t(`field.${parsed.code}`, { text: typed.slice(0, 20) }), outside: false };
    if (outOfRange(RANGES[range], parsed.value))
      return {
        error: t('field.range', {
          min: printQuantity(min, kind, system, lang),
          max: printQuantity(max, kind, system, lang),
        }),
        outside: true,
      };
    return { value: parsed.value };
  };

  const commit = useCallback(
    (next: number | null) => {
      held.current = null;
      known.current = next;
      onCommit(next);
    },
    [onCommit],
  );
  const takeHeld = useCallback(() => {
    if (held.current !== null) commit(held.current);
  }, [commit]);
  // A page that goes, or a panel that is changed by a key, leaves the field too.
  useEffect(() => {
    addEventListener('pagehide', takeHeld);
    return () => {
      removeEventListener('pagehide', takeHeld);
      takeHeld();
    };
  }, [takeHeld]);

  const type = (typed: string) => {
    setText(typed);
    const found = read(typed);
    held.current = null;
    setOutside('outside' in found && found.outside);
    if ('error' in found) return setError(found.error);
    setError(null);
    if (found.value === value) return;
    if (farFrom(before.current, found.value)) held.current = found.value;
    else commit(found.value);
  };
  // What is on its way to a number is not scolded at each key.
  const [rested, setRested] = useState(true);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each key begins the rest anew
  useEffect(() => {
    if (!outside) return;
    setRested(false);
    const timer = setTimeout(() => setRested(true), REST);
    return () => clearTimeout(timer);
  }, [outside, text]);

  const nudge = (direction: number) => {
    takeHeld();
    const from = known.current;
    if (from === null) return;
    const [metric, imperial] = NUDGE[kind] ?? [1, 1];
    const step = system === 'metric' ? metric : imperial;
    const next = toSI(Math.round((fromSI(from, kind, system) + direction * step) * 1e6) / 1e6, kind, system);
    if (outOfRange(RANGES[range], next)) return;
    setText(printEntry(next, kind, system, lang));
    setError(null);
    setOutside(false);
    commit(next);
  };

  const onKeyDown = (event: React.KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      nudge(event.key === 'ArrowUp' ? 1 : -1);
    } else if (event.key === 'Enter') {
      // Done with it: the keys steer again. Tab goes on to the next one.
      event.preventDefault();
      event.currentTarget.blur();
    }
  };

  const message = (outside && editing && !rested ? null : error) ?? problem ?? null;
  // What was understood, when it is not plain from what was typed.
  const understood =
    editing && !error && value !== null && text.trim() !== '' && text.trim() !== shown
      ? printQuantity(value, kind, system, lang)
      : null;
  // A price is told with its money: 42 EUR/m³.
  const symbol = unit.feetInches || bare ? '' : `${money ?? ''}${unit.symbol}`;

  return (
    <Box>
      <Flex
        direction={stacked ? 'column' : 'row'}
        align={stacked ? 'stretch' : 'center'}
        justify="space-between"
        gap={stacked ? 0.5 : 2}
      >
        <label htmlFor={id}>
          <Box as="span" fontSize="sm" srOnly={bare}>
            {label}
          </Box>
          {hint && <Small>{hint}</Small>}
        </label>
        <Box position="relative" w={stacked ? 'full' : width} flexShrink={0}>
          <Input
            id={id}
            data-quantity={range.replace(/^\//, '').replaceAll('/*', '').replaceAll('/', '.')}
            inputMode="text"
            autoComplete="off"
            spellCheck={false}
            textAlign="right"
            fontFamily="figure"
            fontWeight={600}
            fontSize="lg"
            pr={symbol ? `${1 + symbol.length * 0.5}rem` : 2}
            value={text}
            placeholder={placeholder === undefined ? '' : printEntry(placeholder, kind, system, lang)}
            aria-invalid={message !== null}
            aria-describedby={`${id}-said`}
            onChange={(event) => type(event.target.value)}
            // A field that is pressed is all selected. A press left to the browser puts its own mark when it is
            // let go, in some of them, and what is typed then goes into the middle of the number.
            onMouseDown={(event) => {
              if (event.button !== 0 || document.activeElement === event.currentTarget) return;
              event.preventDefault();
              event.currentTarget.focus();
            }}
            onFocus={(event) => {
              setEditing(true);
              before.current = value;
              event.currentTarget.select();
            }}
            onBlur={() => {
              takeHeld();
              onSettle?.();
              // The line under the field goes with it, and all below moves up.
              afterPress(() => {
                setEditing(false);
                if (latest.current.error === null) setText(latest.current.shown);
              });
            }}
            onKeyDown={onKeyDown}
          />
          {symbol && (
            <Box
              as="span"
              position="absolute"
              right={2}
              top="50%"
              transform="translateY(-50%)"
              fontSize="xs"
              color="soft"
              pointerEvents="none"
            >
              {symbol}
            </Box>
          )}
        </Box>
      </Flex>
      <Box id={`${id}-said`} role="status" textAlign={stacked ? 'left' : 'right'}>
        {message !== null ? <FieldError>{message}</FieldError> : understood && <Small>= {understood}</Small>}
      </Box>
    </Box>
  );
});
