/**
 * The level book: set-ups read on a mark, shots off them or off a string, checks back to the mark.
 *
 *   level = string − tape;  height of instrument = mark + backsight;  level = height − reading − offset
 *
 * A check that is off puts every shot since the last good one in doubt: named, not deleted.
 */
import type { BookedRecord, Facts, ShotSurface } from '../log/index.ts';

/** A check shot back may be off by so much, m: typical of a builder's level over 30 m. */
export const CHECK_TOLERANCE = 0.003;

/** The book of one job, as it was logged. */
export type LevelBook = readonly BookedRecord<'levels'>[];

export interface SetUp {
  /** Id of its record. */
  readonly id: string;
  readonly mark: string;
  /** Height of instrument: the level its line of sight lies at, m. */
  readonly height: number;
  readonly at: string;
  /** Newest check back to the mark: how far it read off, m; null: none yet. */
  readonly off: number | null;
  /** Ids of shots in doubt. */
  readonly doubted: readonly string[];
}

/** A shot with the level it gives. */
export interface Shot {
  /** Id of its record. */
  readonly id: string;
  readonly at: string;
  readonly by: string;
  readonly element: string;
  readonly place: readonly [number, number] | null;
  readonly on: ShotSurface;
  readonly how: 'tape' | 'rod' | 'said';
  /** m; null of what was told as so much low. */
  readonly level: number | null;
  /** Told, not measured: m below what is wanted. */
  readonly low: number | null;
  /** The set-up it was taken from was found bumped afterwards. */
  readonly doubted: boolean;
}

export interface Levelling {
  readonly setUps: readonly SetUp[];
  /** In the order of time; those of set-ups nobody knows are left out. */
  readonly shots: readonly Shot[];
}

export const heightOf = ({ level, backsight }: { readonly level: number; readonly backsight: number }) =>
  level + backsight;

const read = new WeakMap<LevelBook, Map<number, Levelling>>();

/**
 * Reads a book in the order it was logged.
 * @param tolerance how far a check may be off, m
 */
export function levelling(book: LevelBook, tolerance = CHECK_TOLERANCE): Levelling {
  const known = read.get(book)?.get(tolerance);
  if (known) return known;
  const made = readBook(book, tolerance);
  read.set(book, (read.get(book) ?? new Map<number, Levelling>()).set(tolerance, made));
  return made;
}

function readBook(book: LevelBook, tolerance: number): Levelling {
  const setUps = new Map<string, Omit<SetUp, 'doubted'> & { backsight: number; since: string[] }>();
  const doubted = new Map<string, string[]>();
  const shots: Shot[] = [];
  for (const record of book) {
    const { id, at, by, element, place } = record;
    if (record.kind === 'setup') {
      const { mark, backsight } = record.value;
      setUps.set(id, { id, mark, at, backsight, height: heightOf(record.value), off: null, since: [] });
    } else if (record.kind === 'checkShot') {
      const own = setUps.get(record.value.setup);
      if (!own) continue;
      const off = record.value.reading - own.backsight;
      // A hair over for readings that are whole millimetres.
      if (Math.abs(off) > tolerance + 1e-9)
        doubted.set(own.id, [...(doubted.get(own.id) ?? []), ...own.since]);
      setUps.set(own.id, { ...own, off, since: [] });
    } else if (element !== null) {
      const { on, from } = record.value;
      const shot = { id, at, by, element, place, on, how: from.by, low: null, doubted: false } as const;
      if (from.by === 'said') shots.push({ ...shot, level: null, low: from.low });
      else if (from.by === 'tape') shots.push({ ...shot, level: from.string - from.reading });
      else {
        const own = setUps.get(from.setup);
        if (!own) continue;
        shots.push({ ...shot, level: own.height - from.reading - from.offset });
        own.since.push(id);
      }
    }
  }
  const bad = new Set([...doubted.values()].flat());
  return {
    setUps: [...setUps.values()].map(({ id, mark, height, at, off }) => ({
      id,
      mark,
      height,
      at,
      off,
      doubted: doubted.get(id) ?? [],
    })),
    shots: shots.map((shot) => (bad.has(shot.id) ? { ...shot, doubted: true } : shot)),
  };
}

/** What is known when bottoms are told to lie so low besides, m: to ask what that comes to. */
export const withTold = (
  facts: Facts,
  told: readonly { readonly element: string; readonly low: number }[],
): Facts =>
  told.length === 0
    ? facts
    : {
        ...facts,
        levels: [
          ...facts.levels,
          ...told.map(({ element, low }, i): LevelBook[number] => ({
            id: `told-${i}`,
            kind: 'shot',
            at: '',
            by: '',
            element,
            placement: null,
            place: null,
            corrects: null,
            after: null,
            revision: null,
            value: { on: 'formation', from: { by: 'said', low } },
          })),
        ],
      };
