/**
 * A finished PDF read by another reader than the one that wrote it, and held against what had to be on
 * it. A sheet people dig by is not handed over before its figures have been read back.
 */
import { createRequire } from 'node:module';
import { pathToFileURL } from 'node:url';
import type { Printed, Said } from './print.server.ts';

const require = createRequire(import.meta.url);

export interface Letters {
  readonly text: string;
  /** Left and foot of its letters on the page, their length and height, pt. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** What stands on every page, as a reader of the PDF finds it. */
export async function lettersOf(pdf: Uint8Array): Promise<Letters[][]> {
  const { getDocument } = (await import(
    pathToFileURL(require.resolve('pdfjs-dist/legacy/build/pdf.mjs')).href
  )) as typeof import('pdfjs-dist');
  const task = getDocument({ data: new Uint8Array(pdf), useSystemFonts: false, verbosity: 0 });
  try {
    const read = await task.promise;
    const pages: Letters[][] = [];
    for (let n = 1; n <= read.numPages; n++) {
      const { items } = await (await read.getPage(n)).getTextContent();
      pages.push(
        items.flatMap((item) =>
          'str' in item
            ? [
                {
                  text: item.str,
                  x: Number(item.transform[4]),
                  y: Number(item.transform[5]),
                  width: item.width,
                  height: item.height,
                },
              ]
            : [],
        ),
      );
    }
    return pages;
  } finally {
    await task.destroy();
  }
}

/** Blanks say nothing, and a face may draw several letters as one. */
const plain = (text: string): string => text.normalize('NFKC').replace(/\s+/g, '');
const TAKEN = '\u0000';
const ELLIPSIS = '…'.normalize('NFKC');

/** Letters that are left of a text that was cut. */
const LEAST_LEFT = 3;

export interface Missing {
  /** What should be there and is not, as it should read. */
  readonly texts: readonly string[];
  /** What stands there beside what should, blanks left out. */
  readonly over: string;
}

/**
 * Holds what was read against what was to be printed: each text once where it was put, or once a page.
 * Longer ones are looked for first, so that a figure is not found within another.
 */
export async function missingFrom({ pdf, said, perPage }: Printed): Promise<Missing> {
  const pages = (await lettersOf(pdf)).map((letters) => plain(letters.map(({ text }) => text).join('')));
  const texts: string[] = [];
  /** Takes one off the first page that has it. */
  const take = (text: string, from: readonly number[]): boolean => {
    for (const i of from) {
      const at = pages[i]!.indexOf(text);
      if (at < 0) continue;
      pages[i] = pages[i]!.slice(0, at) + TAKEN + pages[i]!.slice(at + text.length);
      return true;
    }
    return false;
  };
  const all = pages.map((_, i) => i);
  const put = ({ text, cut }: Said, from: readonly number[]): boolean => {
    const whole = plain(text);
    if (take(whole, from)) return true;
    for (let length = cut ? whole.length - 1 : 0; length >= LEAST_LEFT; length--)
      if (take(whole.slice(0, length) + ELLIPSIS, from)) return true;
    return false;
  };
  // Each page brings its own head and foot, and where it runs on they are there again.
  const heads = new Map(said.flatMap((one) => (one.everyPage ? [[one.text, one] as const] : [])));
  const wanted = [...heads.values(), ...said.filter(({ everyPage }) => !everyPage)];
  for (const one of wanted.sort((p, q) => plain(q.text).length - plain(p.text).length)) {
    const found = one.everyPage ? all.filter((i) => put(one, [i])).length > 0 : put(one, all);
    if (!found) texts.push(one.text);
  }
  for (const render of perPage)
    for (const i of all) take(plain(render({ pageNumber: i + 1, totalPages: pages.length })), [i]);
  return { texts, over: pages.join('').split(TAKEN).join(' ').replace(/ +/g, ' ').trim() };
}

/** Whether a text tells a figure. */
export const isFigure = (text: string): boolean => /\d/.test(text);
