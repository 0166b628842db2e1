/**
 * Empties the outbox of one person, of all their jobs, whatever page is open. What the server will not
 * have is put aside with its reason, one by one, and offered again when the program is a newer one; what
 * this browser cannot keep is held in the page.
 */
import type { Problem, SiteRecord } from '@cimiento/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { allWaiting, keep, letGo, type Picture, type Waiting } from './outbox.ts';

/** Sent at once. */
const A_PAGE = 100;
/** Between tries, ms. */
const FIRST_WAIT = 2000;
const LONGEST_WAIT = 60_000;

export interface Refused {
  readonly id: string;
  readonly problems: readonly Problem[];
}
/** What became of a sending. */
export type Sent =
  | { readonly how: 'sent'; readonly refused: readonly Refused[] }
  /** `gone`: the person has no such job (any more). `notTheirs`: somebody else is signed in, or nobody. */
  | { readonly how: 'later' | 'gone' | 'notTheirs' };

/** What sending needs of its surroundings: handed in, so that tests can stand in for them. */
export interface Surroundings {
  post(job: string, person: string, records: readonly SiteRecord[]): Promise<Sent>;
  /** Sends the photo of a record, before the record. */
  picture(job: string, person: string, id: string, picture: Picture): Promise<Sent>;
  /** Runs a task later; returns how to call it off. */
  later(task: () => void, delay: number): () => void;
  readonly box: {
    keep(one: Waiting): Promise<boolean>;
    all(): Promise<Waiting[]>;
    letGo(ids: readonly string[]): Promise<void>;
  };
}

/** An answer that takes longer is as good as none, ms. */
const LONGEST_ANSWER = 20_000;

async function post(job: string, person: string, records: readonly SiteRecord[]): Promise<Sent> {
  const answer = await fetch(`/jobs/${job}/records?person=${encodeURIComponent(person)}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(records),
    signal: AbortSignal.timeout(LONGEST_ANSWER),
  }).catch(() => null);
  if (answer?.status === 401) return { how: 'notTheirs' };
  if (answer?.status === 404) return { how: 'gone' };
  if (answer?.ok || answer?.status === 422) {
    const said = (await answer.json().catch(() => null)) as { refused?: Refused[] } | null;
    if (answer.ok || said?.refused) return { how: 'sent', refused: said?.refused ?? [] };
  }
  return { how: 'later' };
}

/** Over a weak line a photo takes longer than what is written, ms. */
const LONGEST_PICTURE = 60_000;

async function picture(job: string, person: string, id: string, of: Picture): Promise<Sent> {
  const form = new FormData();
  for (const which of ['photo', 'thumb'] as const)
    form.append(which, new Blob([of[which]], { type: 'image/jpeg' }), `${which}.jpg`);
  const answer = await fetch(`/jobs/${job}/photos/${id}?person=${encodeURIComponent(person)}`, {
    method: 'POST',
    body: form,
    signal: AbortSignal.timeout(LONGEST_PICTURE),
  }).catch(() => null);
  if (answer?.ok) return { how: 'sent', refused: [] };
  if (answer?.status === 401) return { how: 'notTheirs' };
  if (answer?.status === 404) return { how: 'gone' };
  if (answer?.status === 413)
    return { how: 'sent', refused: [{ id, problems: [{ code: 'notAPhoto', path: '' }] }] };
  if (answer?.status === 422) {
    const said = (await answer.json().catch(() => null)) as { problems?: Problem[] } | null;
    return { how: 'sent', refused: [{ id, problems: said?.problems ?? [] }] };
  }
  return { how: 'later' };
}

const browser: Surroundings = {
  post,
  picture,
  later: (task, delay) => {
    const timer = setTimeout(task, delay);
    return () => clearTimeout(timer);
  },
  box: { keep, all: allWaiting, letGo },
};

export interface Outgoing {
  /** What waits or was refused, of this person, in the order it was made. */
  readonly waiting: readonly Waiting[];
  /** Ids of those this browser has no room for: they are in this page only. */
  readonly unkept: readonly string[];
  /** Jobs the server does not know of for this person. */
  readonly gone: readonly string[];
  /** How many wait here for other people. */
  readonly others: number;
  /** Somebody else is signed in by now, or nobody. */
  readonly signedOut: boolean;
}

export class Sender {
  readonly state: StoreApi<Outgoing> = createStore<Outgoing>(() => ({
    waiting: [],
    unkept: [],
    gone: [],
    others: 0,
    signedOut: false,
  }));
  readonly person: string;
  readonly #program: string;
  readonly #around: Surroundings;
  #busy = false;
  #again = false;
  #wait = FIRST_WAIT;
  #callOff = () => {};
  /** Records whose photo the server has. */
  readonly #pictured = new Set<string>();

  /**
   * @param person whose outbox it is
   * @param program version of the program: another one may take what this one's server refuses
   */
  constructor(person: string, program: string, around: Surroundings = browser) {
    this.person = person;
    this.#program = program;
    this.#around = around;
  }

  /** Logs something: it waits from here on, in this browser if it has room, else in the page. */
  async log(job: string, record: SiteRecord, picture?: Picture): Promise<void> {
    const one: Waiting = {
      id: record.id,
      job,
      person: this.person,
      record,
      refused: null,
      ...(picture && { picture }),
    };
    this.#set((now) => ({ waiting: [...now.waiting, one] }));
    await this.#keep(one);
    await this.send();
  }

  async #keep(one: Waiting): Promise<void> {
    const kept = await this.#around.box.keep(one);
    const gone = !this.state.getState().waiting.some(({ id }) => id === one.id);
    // It was sent before it was kept.
    if (kept && gone) await this.#around.box.letGo([one.id]);
    this.#set((now) => ({
      unkept: kept || gone ? now.unkept.filter((id) => id !== one.id) : [...new Set([...now.unkept, one.id])],
    }));
  }

  #set(change: (now: Outgoing) => Partial<Outgoing>): void {
    this.state.setState(change(this.state.getState()));
  }

  /** What earlier pages could not send counts here too; what an earlier program refused is tried again. */
  async wake(): Promise<void> {
    const all = await this.#around.box.all();
    const own = all.filter(({ person }) => person === this.person || person === '');
    this.#set((now) => {
      const known = new Set(now.waiting.map(({ id }) => id));
      const found = own
        .filter(({ id }) => !known.has(id))
        .map((one) =>
          one.refused && one.refused.program !== this.#program ? { ...one, refused: null } : one,
        )
        .sort((p, q) => (p.record.at < q.record.at ? -1 : p.record.at > q.record.at ? 1 : 0));
      return { waiting: [...found, ...now.waiting], others: all.length - own.length, gone: [] };
    });
    // There may be room again.
    const { waiting, unkept } = this.state.getState();
    for (const one of waiting) if (unkept.includes(one.id)) await this.#keep(one);
    await this.send();
  }

  /** Tries once more what was refused, because somebody asks. */
  readonly retry = async (): Promise<void> => {
    this.#set((now) => ({ gone: [], waiting: now.waiting.map((one) => ({ ...one, refused: null })) }));
    await this.send();
  };

  /** Sends what waits, job by job; only one sending is under way. */
  readonly send = async (): Promise<void> => {
    this.#callOff();
    if (this.#busy) {
      this.#again = true;
      return;
    }
    this.#busy = true;
    do {
      this.#again = false;
      await this.#sendAll();
    } while (this.#again);
    this.#busy = false;
  };

  async #sendAll(): Promise<void> {
    const tried = new Set<string>();
    for (;;) {
      const { waiting, gone } = this.state.getState();
      const ready = waiting.filter(
        ({ job, refused }) => refused === null && !tried.has(job) && !gone.includes(job),
      );
      const [first] = ready;
      if (!first) break;
      const page = ready.filter(({ job }) => job === first.job).slice(0, A_PAGE);
      const sent = await this.#sendPage(first.job, page);
      this.#set(() => ({ signedOut: sent.how === 'notTheirs' }));
      if (sent.how === 'sent') {
        await this.#taken(page, sent.refused);
        continue;
      }
      if (sent.how === 'gone') this.#set((now) => ({ gone: [...now.gone, first.job] }));
      else tried.add(first.job);
      if (sent.how === 'notTheirs') break;
    }
    if (tried.size === 0) {
      this.#wait = FIRST_WAIT;
      return;
    }
    this.#callOff = this.#around.later(() => void this.send(), this.#wait);
    this.#wait = Math.min(2 * this.#wait, LONGEST_WAIT);
  }

  /** Photos first: a record whose photo the server will not have does not go without it. */
  async #sendPage(job: string, page: readonly Waiting[]): Promise<Sent> {
    const refused: Refused[] = [];
    for (const { id, picture } of page) {
      if (!picture || this.#pictured.has(id)) continue;
      const sent = await this.#around.picture(job, this.person, id, picture);
      if (sent.how !== 'sent') return sent;
      if (sent.refused.length === 0) this.#pictured.add(id);
      refused.push(...sent.refused);
    }
    const good = page.filter(({ id }) => !refused.some((one) => one.id === id));
    if (good.length === 0) return { how: 'sent', refused };
    const sent = await this.#around.post(
      job,
      this.person,
      good.map(({ record }) => record),
    );
    return sent.how === 'sent' ? { how: 'sent', refused: [...refused, ...sent.refused] } : sent;
  }

  /** The server has them, but for those it would not have: they stay, with why. */
  async #taken(page: readonly Waiting[], refused: readonly Refused[]): Promise<void> {
    const why = new Map(refused.map(({ id, problems }) => [id, { problems, program: this.#program }]));
    const sent = page.filter(({ id }) => !why.has(id)).map(({ id }) => id);
    await this.#around.box.letGo(sent);
    this.#set((now) => ({
      waiting: now.waiting.flatMap((one) => {
        if (sent.includes(one.id)) return [];
        const refusal = why.get(one.id);
        return [refusal ? { ...one, refused: refusal } : one];
      }),
      unkept: now.unkept.filter((id) => !sent.includes(id)),
    }));
    for (const one of this.state.getState().waiting) if (why.has(one.id)) await this.#keep(one);
  }
}
