/** What a journey needs of a browser, whatever its engine: pressed, typed and read as a person does. */
export interface Hands {
  readonly name: string;
  open(url: string): Promise<void>;
  /** Presses the middle of what is found there, once it is seen. */
  press(selector: string): Promise<void>;
  type(text: string): Promise<void>;
  key(key: 'Enter' | 'Escape' | 'Tab'): Promise<void>;
  /** What an expression is worth in the page. */
  ask<T>(expression: string): Promise<T>;
  /** Makes the page so wide and high, px, or as near it as the engine's window goes. */
  size(width: number, height: number): Promise<void>;
  shot(path: string): Promise<void>;
  close(): Promise<void>;
}

/** A phone's browser may take so long on a busy machine, ms. */
const LONGEST = 90_000;
const LOOK = 100;

/** What a page that does not come on shows instead. */
const SHOWN = `location.href + ' ' + document.body.innerText.slice(0, 400).replace(/\\s+/g, ' ')`;

/** Waits until an expression is worth something in the page. */
export async function until<T>(hands: Hands, expression: string): Promise<T> {
  const end = Date.now() + LONGEST;
  for (;;) {
    // A page that is changed for another has no answer for a moment.
    const found = await hands.ask<T>(expression).catch(() => null);
    if (found) return found;
    if (Date.now() > end) {
      const seen = await hands.ask<string>(SHOWN).catch(() => 'nothing that answers');
      throw new Error(`${hands.name}: still not: ${expression}; shown: ${seen}`);
    }
    await new Promise((done) => setTimeout(done, LOOK));
  }
}

export const seen = (hands: Hands, selector: string) =>
  until(
    hands,
    `[...document.querySelectorAll(${JSON.stringify(selector)})].some((one) => one.getClientRects().length > 0)`,
  );
