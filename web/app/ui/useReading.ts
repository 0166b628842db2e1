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

interface Typed {
  readonly value: number | null;
  /** What was on record when it was typed. */
  readonly over: number | null;
  readonly taken: boolean;
}

/**
 * @param known what is on record. A reading taken shows until the record tells of it: it comes back by
 * way of the takeoff, and a box that empties in between loses what is being typed on.
 * @param take told of each reading that is another
 */
export function useReading(known: number | null, take: (value: number | null) => void): Reading {
  const [typed, setTyped] = useState<Typed | null>(null);
  const newest = useRef({ known, take });
  newest.current = { known, take };
  const settle = (reading: Typed | null) => {
    if (!reading || reading.taken) return;
    if (reading.value === newest.current.known) return setTyped(null);
    setTyped({ ...reading, taken: true });
    newest.current.take(reading.value);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: the pause is counted from the reading alone
  useEffect(() => {
    if (!typed || typed.taken) return;
    const timer = setTimeout(() => settle(typed), PAUSE);
    return () => clearTimeout(timer);
  }, [typed]);
  const shows = typed && !(typed.taken && known !== typed.over) ? typed : null;
  if (shows !== typed) setTyped(shows);
  return {
    value: shows ? shows.value : known,
    onCommit: (value) => setTyped({ value, over: known, taken: false }),
    onSettle: () => settle(typed),
  };
}
