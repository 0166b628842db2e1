/**
 * From a sheet to its finished PDF, and what had to be on it. Each sheet goes through here, so that what
 * a sheet says can be read back from the file and compared (read-back.server.ts).
 */
import { Font, pdf } from '@react-pdf/renderer';
import './style.server.ts';
import { FACES } from './style.server.ts';

/** A text a sheet must show. */
export interface Said {
  readonly text: string;
  /** On every page, not only where it was put. */
  readonly everyPage: boolean;
  /** May be cut at its end where there is no room, with an ellipsis for the rest. */
  readonly cut: boolean;
}

/** A finished sheet. */
export interface Printed {
  readonly pdf: Uint8Array<ArrayBuffer>;
  readonly said: readonly Said[];
  /** What every page says with its own number in it. */
  readonly perPage: readonly ((page: OfPage) => string)[];
}

/** What a text that counts pages is made from. */
interface OfPage {
  readonly pageNumber: number;
  readonly totalPages: number;
}

/** Of a face what the layout asks it. */
interface Face {
  getGlyph(id: number, codePoints?: readonly number[]): { readonly codePoints: readonly number[] };
  hasGlyphForCodePoint(codePoint: number): boolean;
}
const known = new WeakSet<Face>();

/**
 * A face hands out one shape for all who ask, with the letters of whoever asked first; a shape first asked
 * for as part of another ("." of "·") has none, and the layout then takes it for nothing and drops the
 * letter before it ("2.198" → ".198"), in every later document of the process. Here every asker gets the
 * shape under their own letters.
 */
function ownLetters(face: Face): void {
  if (known.has(face)) return;
  known.add(face);
  const shared = face.getGlyph.bind(face);
  face.getGlyph = (id, codePoints = []) => {
    const glyph = shared(id, codePoints);
    const same =
      glyph.codePoints.length === codePoints.length && glyph.codePoints.every((c, i) => c === codePoints[i]);
    return same || codePoints.length === 0
      ? glyph
      : (Object.create(glyph, { codePoints: { value: codePoints } }) as typeof glyph);
  };
}

async function readyFaces(): Promise<Face[]> {
  const ready: Face[] = [];
  for (const face of FACES) {
    await Font.load(face);
    const { data } = Font.getFont(face) as unknown as { data: Face | null };
    if (!data) throw new Error(`The face ${face.fontFamily} was not read.`);
    ownLetters(data);
    ready.push(data);
  }
  return ready;
}

/** Whether every letter of a text is in every face: others cannot be printed as they are. */
const inFaces = (text: string, faces: readonly Face[]): boolean =>
  [...text].every(
    (letter) => /\s/.test(letter) || faces.every((f) => f.hasGlyphForCodePoint(letter.codePointAt(0)!)),
  );

/** A node of the renderer's tree. */
interface Node {
  readonly type: string;
  readonly value?: string | number;
  readonly children?: readonly Node[];
  readonly props?: { readonly fixed?: boolean; readonly render?: (page: OfPage) => Node | readonly Node[] };
  readonly style?: unknown;
}

const textOf = (node: Node): string =>
  node.value === undefined ? (node.children ?? []).map(textOf).join('') : String(node.value);
const cutOf = (style: unknown): boolean =>
  Array.isArray(style)
    ? style.some(cutOf)
    : typeof style === 'object' && style !== null && 'maxLines' in style;

type Sheet = NonNullable<Parameters<typeof pdf>[0]>;

/** Pages of a finished file. */
const pagesOf = (file: Uint8Array): number =>
  Number(/\/Count (\d+)/.exec(Buffer.from(file).toString('latin1'))?.[1] ?? 0);

/** Lays a sheet out; again where a page ran on and those that count pages did not know. @throws when a face cannot be read */
export async function print(make: (how: { readonly runsOn: boolean }) => Sheet): Promise<Printed> {
  const { pages, ...printed } = await laidOut(make({ runsOn: false }));
  // What counts its pages as it is laid out has counted right.
  if (printed.perPage.length > 0 || pagesOf(printed.pdf) === pages) return printed;
  const { pages: _pages, ...again } = await laidOut(make({ runsOn: true }));
  return again;
}

async function laidOut(sheet: Sheet): Promise<Printed & { readonly pages: number }> {
  const faces = await readyFaces();
  const instance = pdf(sheet);
  const said: Said[] = [];
  const perPage: Printed['perPage'][number][] = [];
  const walk = (node: Node, everyPage: boolean): void => {
    const fixed = everyPage || node.props?.fixed === true;
    if (node.type !== 'TEXT') {
      for (const child of node.children ?? []) walk(child, fixed);
      return;
    }
    const render = node.props?.render;
    if (render) perPage.push((page) => [render(page)].flat().map(textOf).join(''));
    const text = textOf(node);
    if (text.trim() !== '' && inFaces(text, faces))
      said.push({ text, everyPage: fixed, cut: cutOf(node.style) });
  };
  const { document } = instance.container as { document: Node };
  walk(document, false);
  const stream = await instance.toBuffer();
  const chunks: Uint8Array[] = [];
  for await (const chunk of stream) chunks.push(chunk as unknown as Uint8Array);
  return {
    pdf: new Uint8Array(Buffer.concat(chunks)),
    said,
    perPage,
    pages: document.children?.length ?? 0,
  };
}
