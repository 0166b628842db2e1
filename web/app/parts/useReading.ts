/**
 * A reading typed for the record: taken once the person leaves the field or pauses, so that a record
 * is a reading and not a key.
 */
import { useEffect, useRef, useState } from 'react';

/** A pause after which a reading counts, ms. */
const PAUSE = 600;

export interface Reading {
  readonly value: number | null;
  readonly onCommit: (value: number | null) => void;
  readonly onSettle: () => void;
}

/** @param known what is on record; @param take told of each reading that is another */
export function useReading(known: number | null, take: (value: number | null) => void): Reading {
  const [typed, setTyped] = useState<{ readonly value: number | null } | null>(null);
  const newest = useRef({ known, take });
  newest.current = { known, take };
  const settle = (reading: { readonly value: number | null } | null) => {
    if (!reading) return;
    setTyped(null);
    if (reading.value !== newest.current.known) newest.current.take(reading.value);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the pause is counted from the reading alone
  useEffect(() => {
    if (!typed) return;
    const timer = setTimeout(() => settle(typed), PAUSE);
    return () => clearTimeout(timer);
  }, [typed]);
  return {
    value: typed ? typed.value : known,
    onCommit: (value) => setTyped({ value }),
    onSettle: () => settle(typed),
  };
}
