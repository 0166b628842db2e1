import { describe, expect, it, vi } from 'vitest';

// No database is asked here; the client only needs an address to be built.
process.env.DATABASE_URL = 'postgres://nobody@127.0.0.1:1/none';
const {
  formOf,
  textOf,
  preferencesCookie,
  preferencesOf,
  preferencesOfPerson,
  publicOrigin,
  requirePerson,
  requirePersonHere,
  safeReturn,
  sameOrigin,
  sessionCookie,
  sessionToken,
  withDatabase,
} = await import('./http.server.ts');
const { fieldOf } = await import('./body.server.ts');
const { toldOf } = await import('./say.server.ts');
const { fileOf } = await import('./download.server.ts');
const { DEMOS, demoJob, savingOf } = await import('./jobs.server.ts');

const request = (headers: Record<string, string> = {}, url = 'http://site.test/jobs?x=1') =>
  new Request(url, { headers });
const thrown = async (
  work: () => unknown,
): Promise<{ init?: { status?: number } | null; data?: unknown } | Response> => {
  try {
    await work();
  } catch (error) {
    return error as Response;
  }
  throw new Error('nothing was thrown');
};
const statusOf = (answer: Awaited<ReturnType<typeof thrown>>) =>
  answer instanceof Response ? answer.status : answer.init?.status;

describe('where to go back to', () => {
  it.each([
    ['/jobs/7?x=1', '/jobs/7?x=1'],
    ['//evil.example', '/jobs'],
    ['/\\evil.example', '/jobs'],
    ['https://evil.example', '/jobs'],
    ['', '/jobs'],
    [null, '/jobs'],
    ['javascript:alert(1)', '/jobs'],
    ['/\t/elsewhere', '/jobs'],
    ['/\n/elsewhere', '/jobs'],
    ['/ok/\t/elsewhere', '/ok//elsewhere'],
    ['\t//elsewhere', '/jobs'],
    ['/%09/elsewhere', '/%09/elsewhere'],
    ['/..//elsewhere', '/jobs'],
  ])('%s → %s', (to, safe) => {
    expect(safeReturn(to)).toBe(safe);
  });
});

describe('only this site may change things', () => {
  it('lets its own pages and plain clients through', () => {
    expect(() => sameOrigin(request({ origin: 'http://site.test', host: 'site.test' }))).not.toThrow();
    expect(() => sameOrigin(request({ host: 'site.test' }))).not.toThrow();
  });
  it('does not believe a forwarded host: the door has put the true one into the address', async () => {
    const forged = { origin: 'http://other.test', 'x-forwarded-host': 'other.test' };
    expect(statusOf(await thrown(() => sameOrigin(request(forged))))).toBe(403);
  });
  it.each(['http://other.test', 'null', 'nonsense', 'http://site.test.evil'])(
    'refuses %s',
    async (origin) => {
      expect(statusOf(await thrown(() => sameOrigin(request({ origin, host: 'site.test' }))))).toBe(403);
    },
  );
});

describe('what is posted', () => {
  const post = (body: BodyInit, headers: Record<string, string> = {}) =>
    new Request('http://site.test/jobs', {
      method: 'POST',
      body,
      headers: { host: 'site.test', ...headers },
    });
  it('is a form, or a bad request', async () => {
    expect((await formOf(post(new URLSearchParams({ a: '1' })))).get('a')).toBe('1');
    expect(
      statusOf(await thrown(() => formOf(post('{"a":1}', { 'content-type': 'application/json' })))),
    ).toBe(400);
    expect(statusOf(await thrown(() => formOf(post('x', { 'content-type': 'multipart/form-data' }))))).toBe(
      400,
    );
  });
  it('is refused unread when it says it is too long', async () => {
    const long = { 'content-length': '6000000' };
    expect(statusOf(await thrown(() => formOf(post(new URLSearchParams({ a: '1' }), long))))).toBe(413);
    expect(statusOf(await thrown(() => textOf(post('{}', long))))).toBe(413);
    expect(await textOf(post('{}'))).toBe('{}');
  });
  it('is counted while it is read, whatever it says of its length', async () => {
    let read = 0;
    const endless = () =>
      new Request('http://site.test/jobs', {
        method: 'POST',
        body: new ReadableStream({
          pull(controller) {
            read += 65_536;
            controller.enqueue(new Uint8Array(65_536).fill(97));
          },
        }),
        headers: { 'content-type': 'application/x-www-form-urlencoded' },
        duplex: 'half',
      } as RequestInit);
    expect(statusOf(await thrown(() => formOf(endless())))).toBe(413);
    expect(read).toBeLessThan(1_000_000);
    read = 0;
    expect(statusOf(await thrown(() => textOf(endless())))).toBe(413);
    expect(read).toBeLessThan(8_000_000);
  });
  it('has no more parts than a form of ours', async () => {
    const form = new FormData();
    for (let i = 0; i < 60; i++) form.append(`a${i}`, '1');
    expect(statusOf(await thrown(() => formOf(post(form))))).toBe(400);
    const small = new FormData();
    small.append('intent', 'file');
    small.append('file', new File(['{"a":1}'], 'plan.json'));
    const got = await formOf(post(small));
    expect(got.get('intent')).toBe('file');
    expect(await (got.get('file') as File).text()).toBe('{"a":1}');
  });
  it('is UTF-8, and its fields are whole text', async () => {
    expect(statusOf(await thrown(() => textOf(post(new Uint8Array([0x22, 0xff, 0x22])))))).toBe(400);
    const form = await formOf(post(new URLSearchParams({ name: 'a\u0000b', good: '  x ' })));
    expect(statusOf(await thrown(() => fieldOf(form, 'name')))).toBe(400);
    expect(fieldOf(form, 'good')).toBe('x');
  });
});

describe('what is written down of an error', () => {
  it('is its kind and place, never a password, a hash, a token or a plan', () => {
    const secret = Object.assign(
      new Error(`Failed query: insert into people values ($1) params: $argon2id$v=19$abc,${'x'.repeat(50)}`),
      { query: 'insert', params: ['hunter2'] },
    );
    const told = JSON.stringify(toldOf(secret));
    expect(told).not.toMatch(/argon2|xxxx|hunter2|insert/);
    expect(toldOf(new Error(`bad token ${'t'.repeat(43)}`)).message).toBe('bad token …');
    expect(toldOf(new TypeError('no such thing')).message).toBe('no such thing');
  });
});

describe('cookies', () => {
  it('of the session cannot be read by scripts and stay on this site', () => {
    expect(sessionCookie(request(), 'abc', 60)).toBe(
      'cimiento_session=abc; Path=/; HttpOnly; SameSite=Lax; Max-Age=60',
    );
    expect(sessionToken(request({ cookie: 'a=b; cimiento_session=abc; c=d' }))).toBe('abc');
    expect(sessionToken(request())).toBeNull();
  });
  it('of preferences come back as they went', () => {
    const chosen = { lang: 'es', theme: 'sun', system: 'imperial' } as const;
    const [pair] = preferencesCookie(request(), chosen).split(';');
    expect(preferencesOf(request({ cookie: pair! }))).toEqual(chosen);
  });
});

describe('links that are sent on', () => {
  it('begin where the operator says people reach it, whatever a request says of itself', () => {
    const asked = new Request('http://made-up.example/forgot');
    expect(publicOrigin(asked)).toBe('http://made-up.example');
    vi.stubEnv('PUBLIC_URL', 'https://dig.example/');
    expect(publicOrigin(asked)).toBe('https://dig.example');
    vi.unstubAllEnvs();
  });
});

describe('on signing in', () => {
  const person = {
    id: 'p',
    crewId: 'c',
    crew: 'C',
    role: 'lead',
    crewEdits: false,
    email: 'e',
    name: 'N',
    theme: 'night',
    system: 'imperial',
  } as const;
  it('the person’s own language comes along, unless one was chosen in this browser', () => {
    const fresh = request({ 'accept-language': 'en' });
    expect(preferencesOfPerson(fresh, { ...person, lang: 'es' })).toEqual({
      lang: 'es',
      theme: 'night',
      system: 'imperial',
    });
    expect(preferencesOfPerson(request({ 'accept-language': 'es' }), { ...person, lang: null }).lang).toBe(
      'es',
    );
    const [pair] = preferencesCookie(request(), { lang: 'en', theme: 'sun', system: null }).split(';');
    expect(preferencesOfPerson(request({ cookie: pair! }), { ...person, lang: 'es' })).toEqual({
      lang: 'en',
      theme: 'night',
      system: 'imperial',
    });
  });
});

describe('who is asking', () => {
  it('nobody: a page turns to the sign-in and back, a background call gets 401', async () => {
    const turn = (await thrown(() => requirePerson(request()))) as Response;
    expect([turn.status, turn.headers.get('location')]).toEqual([302, '/sign-in?to=%2Fjobs%3Fx%3D1']);
    expect(statusOf(await thrown(() => requirePersonHere(request())))).toBe(401);
  });
  it('someone, but the database is away: 503 with a time to try again', async () => {
    const answer = await thrown(() => requirePersonHere(request({ cookie: 'cimiento_session=abc' })));
    expect(statusOf(answer)).toBe(503);
    expect(answer).toMatchObject({ data: { code: 'databaseDown' } });
  });
  it('passes other errors on', async () => {
    await expect(withDatabase(() => Promise.reject(new Error('bug')))).rejects.toThrow('bug');
    expect(await withDatabase(() => Promise.resolve(4))).toBe(4);
  });
});

describe('files', () => {
  it('have a plain name and the full one, and nothing that breaks a header', () => {
    const header = (name: string) =>
      fileOf('x', 'text/plain', name, 'csv').headers.get('content-disposition');
    expect(header('Honey house')).toBe(
      `attachment; filename="Honey-house.csv"; filename*=UTF-8''Honey%20house.csv`,
    );
    expect(header('Peña "x"\r\nSet-Cookie: a')).toBe(
      `attachment; filename="Pena-xSet-Cookie-a.csv"; filename*=UTF-8''Pe%C3%B1a%20%22x%22%0D%0ASet-Cookie%3A%20a.csv`,
    );
    expect(header('¡!')).toContain('filename="cimiento.csv"');
    expect(fileOf('x', 'application/pdf', 'a', 'pdf', 'inline').headers.get('content-disposition')).toMatch(
      /^inline/,
    );
  });
});

describe('what is kept of a save', () => {
  it('is the plan, its summary and what changed', async () => {
    const { plan } = await demoJob('bell-frame');
    const deeper = structuredClone(plan);
    deeper.ground.frost.local = 1.6;
    const saving = savingOf(deeper, plan, 'colder');
    expect(saving.changes).toEqual([{ path: '/ground/frost/local', from: 1.2192, to: 1.6 }]);
    expect(saving.summary.dig).toBeGreaterThan(savingOf(plan, null).summary.dig);
    expect(savingOf(plan, null).changes).toEqual([]);
    const broken = structuredClone(plan);
    broken.ground.knownTo = 0.1;
    expect(savingOf(broken, plan).summary.holds[0]).toBe('problems');
  });
  it.each(DEMOS)('of the demo %s is the same job in Spanish, its words all in Spanish', async (demo) => {
    const [english, spanish] = [await demoJob(demo), await demoJob(demo, 'es-MX')];
    const said = new Set<string>();
    const bare = (job: unknown) =>
      JSON.stringify(job, (key, value: unknown) => {
        if (
          typeof value !== 'string' ||
          !/^(name|note|text|reason|why|what|who|emergencyContact|at|done|open|keepOff)$/.test(key)
        )
          return value;
        said.add(value);
        return '';
      });
    const [of, as] = [bare(english), new Set(said)];
    said.clear();
    expect(bare(spanish)).toBe(of);
    // Names such as T1, those of people and codes stay; what is a word of English has become one of Spanish.
    const kept = [...said].filter((text) => as.has(text) && /[a-z]{3}/.test(text));
    expect(
      kept.filter(
        (text) =>
          !/^(Nave|R\. Vado|Ximena Arce|Arroyo Manso|word-|wetted$|width$|find$|Tomás Rey|Iker Pons)/.test(
            text,
          ),
      ),
    ).toEqual([]);
  });
  it('is made up of plan files only', async () => {
    vi.stubEnv('DEMO_FOLDER', '/nowhere');
    await expect(demoJob('bell-frame')).rejects.toThrow();
    vi.unstubAllEnvs();
  });
});
