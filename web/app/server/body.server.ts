/**
 * What is posted, counted while it is read: nobody makes this server hold more than it was ready
 * for. In production the door (server.ts) has read it already and hands it on; elsewhere it is read
 * here, under the same limits.
 */
import { Readable } from 'node:stream';
import { isWholeText } from '@cimiento/core';
import busboy from 'busboy';
import { data } from 'react-router';

/** Bytes: of a form anybody can send, of what somebody signed in can save, and of a crew's archive (never held in memory). */
export const MOST_BODY = { form: 16_000, plan: 5_000_000, archive: 300_000_000 } as const;
/** Fields and files of one form. */
const MOST_PARTS = 24;

/** What the door hands on with a request. */
export interface Door {
  /** The address asked from; one hop of proxy is believed when the operator says there is one. */
  readonly address: string;
  /** The posted body, counted and read. */
  readonly body: Buffer | null;
  /** Version of the program that serves: another one may take what this one refuses. */
  readonly program: string;
}

export const doorOf = (context: object | undefined): Door => ({
  address: context && 'address' in context ? String(context.address) : '',
  body: context && 'body' in context && Buffer.isBuffer(context.body) ? context.body : null,
  program: context && 'program' in context ? String(context.program) : '',
});

const refuse = (status: 400 | 413 | 415, code = status === 413 ? 'tooLarge' : 'badRequest') =>
  data({ code }, { status });

/**
 * The bytes of a body.
 * @throws 413 as soon as there are more than `most`, however they come
 */
async function bytesOf(request: Request, most: number, context?: object): Promise<Buffer> {
  const { body } = doorOf(context);
  if (body) {
    if (body.length > most) throw refuse(413);
    return body;
  }
  if (Number(request.headers.get('content-length') ?? 0) > most) throw refuse(413);
  if (!request.body) return Buffer.alloc(0);
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body.getReader();
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    size += next.value.byteLength;
    if (size > most) {
      await reader.cancel();
      throw refuse(413);
    }
    chunks.push(next.value);
  }
  return Buffer.concat(chunks);
}

const utf8 = new TextDecoder('utf-8', { fatal: true, ignoreBOM: false });

/** A body as text. 400 when it is not UTF-8. */
export async function bodyText(request: Request, most: number, context?: object): Promise<string> {
  const bytes = await bytesOf(request, most, context);
  try {
    return utf8.decode(bytes);
  } catch {
    throw refuse(400);
  }
}

/** Fields and files of a form sent in parts. */
function parts(bytes: Buffer, type: string, most: number): Promise<FormData> {
  return new Promise((done, fail) => {
    const form = new FormData();
    const wrong = () => fail(refuse(400));
    let reader: ReturnType<typeof busboy>;
    try {
      reader = busboy({
        headers: { 'content-type': type },
        limits: { parts: MOST_PARTS, fields: MOST_PARTS, fieldSize: MOST_BODY.form, fileSize: most },
      });
    } catch {
      return wrong();
    }
    reader.on('field', (name, value, { valueTruncated }) => {
      if (valueTruncated) wrong();
      else form.append(name, value);
    });
    reader.on('file', (name, stream, { filename, mimeType }) => {
      const chunks: Uint8Array<ArrayBuffer>[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(new Uint8Array(chunk)));
      stream.on('end', () =>
        form.append(name, new File(chunks, (filename ?? '').slice(0, 200), { type: mimeType })),
      );
    });
    for (const limit of ['partsLimit', 'fieldsLimit', 'filesLimit'] as const) reader.on(limit, wrong);
    reader.on('error', wrong);
    reader.on('close', () => done(form));
    Readable.from([bytes]).pipe(reader);
  });
}

/**
 * A posted form. In parts it may be as long as `most`; otherwise it holds no more than a form does.
 * @throws 400 for what is no form, 413 for one that is too long
 */
export async function bodyForm(
  request: Request,
  most: number = MOST_BODY.form,
  context?: object,
): Promise<FormData> {
  const type = request.headers.get('content-type') ?? '';
  if (/^multipart\/form-data\b/i.test(type)) return parts(await bytesOf(request, most, context), type, most);
  if (!/^application\/x-www-form-urlencoded\b/i.test(type)) throw refuse(400);
  const text = await bodyText(request, MOST_BODY.form, context);
  const form = new FormData();
  for (const [name, value] of new URLSearchParams(text)) form.append(name, value);
  return form;
}

/** A text field of a form, trimmed. 400 when it holds what no text may. */
export function fieldOf(form: FormData, name: string): string {
  const value = form.get(name);
  if (typeof value !== 'string') return '';
  if (!isWholeText(value)) throw refuse(400, 'badText');
  return value.trim();
}
