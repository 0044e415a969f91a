import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, serve } from './serve.testing.ts';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.stop());

const ask: Served['ask'] = (...words) => served.ask(...words);

const document = { format: 'bashful-parlor-set', version: 1, name: 'Attic', pieces: [{ name: 'chest' }] };

describe('sets over HTTP', () => {
  it('begin with the three demo sets', async () => {
    const { body } = await ask('GET', '/api/sets');
    expect(body.sets.map(({ id }: { id: string }) => id)).toEqual(['harbour-post-office', 'potting-shed', 'night-ferry-hall']);
  });

  it('are made, read, saved over the revision they are based on', async () => {
    const made = await ask('POST', '/api/sets', { document });
    expect(made).toMatchObject({ status: 201, body: { revision: 1, document: { pieces: [{ id: 'piece-1', mark: 1 }] } } });
    const saved = await ask('PUT', `/api/sets/${made.body.id}`, { basedOn: 1, document: { ...made.body.document, name: 'Loft' } });
    expect(saved).toMatchObject({ status: 200, body: { revision: 2 } });
    const read = await ask('GET', `/api/sets/${made.body.id}`);
    expect(read.body).toMatchObject({ revision: 2, document: { name: 'Loft' } });
  });

  it('a stale save is refused with 409 and changes nothing', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: 'theirs' } });
    expect(await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: 'mine' } })).toMatchObject({
      status: 409,
      body: { error: { code: 'stale-revision', revision: 2 } },
    });
    expect((await ask('GET', `/api/sets/${body.id}`)).body.document.name).toBe('theirs');
  });

  it('of many saves on one revision exactly one wins', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, index) =>
        ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: `try ${index}` } }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, ...Array(11).fill(409)]);
    const edited = await Promise.all(
      Array.from({ length: 12 }, (_, index) =>
        ask('POST', `/api/sets/${body.id}/edits`, { basedOn: 2, edits: [{ kind: 'change-set', change: { name: `edit ${index}` } }] }),
      ),
    );
    expect(edited.map(({ status }) => status).sort()).toEqual([200, ...Array(11).fill(409)]);
    const winner = edited.findIndex(({ status }) => status === 200);
    expect((await ask('GET', `/api/sets/${body.id}`)).body.document.name).toBe(`edit ${winner}`);
  });

  it('are saved by edits as by whole documents, the two in any order, and read the same at every save', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    const path = `/api/sets/${body.id}`;
    const edit = (basedOn: number, edits: unknown) => ask('POST', `${path}/edits`, { basedOn, edits });
    const width = (value: number) => [{ kind: 'change-piece', id: 'piece-1', change: { width: value } }];
    expect(await edit(1, width(700_000))).toMatchObject({ status: 200, body: { revision: 2 } });
    expect(await edit(2, [{ kind: 'change-set', change: { name: 'Loft' } }, ...width(710_000)])).toMatchObject({ body: { revision: 3 } });
    expect(await ask('PUT', path, { basedOn: 3, document: { ...document, name: 'Barn' } })).toMatchObject({ body: { revision: 4 } });
    expect(await edit(4, width(720_000))).toMatchObject({ body: { revision: 5 } });
    expect((await ask('GET', '/api/sets')).body.sets).toContainEqual(expect.objectContaining({ id: body.id, name: 'Barn', revision: 5 }));
    const named = async (revision: number) => {
      const { document: there } = (await ask('GET', `${path}/revisions/${revision}`)).body;
      const { pieces } = there as unknown as { pieces: readonly { width: number }[] };
      return [there.name, pieces[0]?.width];
    };
    const [, usual] = await named(1);
    expect(await Promise.all([1, 2, 3, 4, 5].map(named))).toEqual([
      ['Attic', usual],
      ['Attic', 700_000],
      ['Loft', 710_000],
      ['Barn', usual],
      ['Barn', 720_000],
    ]);
    const { revisions } = (await ask('GET', `${path}/revisions`)).body;
    expect(revisions[3]?.words).toMatch(/^chest: width .*700 mm/);
    expect((await ask('GET', path)).body).toMatchObject({ revision: 5, document: { name: 'Barn', pieces: [{ width: 720_000 }] } });
  });

  it('what an edit leaves out is decided when it is saved, and stays so in the history', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    const path = `/api/sets/${body.id}`;
    const steps = [[{ kind: 'add-piece', at: 1, piece: { id: 'stool', width: '40 cm' } }], [{ kind: 'remove-piece', id: 'piece-1' }]];
    for (const [index, edits] of steps.entries()) await ask('POST', `${path}/edits`, { basedOn: index + 1, edits });
    const found = (await ask('GET', path)).body.document as unknown as { pieces: { id: string; mark: number; width: number }[] };
    expect(found.pieces).toMatchObject([{ id: 'stool', mark: 2, width: 400_000 }]);
  });

  it('an edit that is stale, foreign, wrong or too long changes nothing and says why', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    const path = `/api/sets/${body.id}`;
    const rename = [{ kind: 'change-set', change: { name: 'Loft' } }];
    await ask('POST', `${path}/edits`, { basedOn: 1, edits: rename });
    for (const [basedOn, edits, status, code] of [
      [1, rename, 409, 'stale-revision'],
      [9, rename, 409, 'stale-revision'],
      [0, rename, 400, 'bad-request'],
      [2, 'rename', 422, 'bad-document'],
      [2, [{ kind: 'change-piece', id: 'piece-1', change: { width: -1 } }], 422, 'bad-document'],
      [2, [{ kind: 'change-set', change: { about: 'x'.repeat(70_000) } }], 413, 'body-too-large'],
    ] as const)
      expect(await ask('POST', `${path}/edits`, { basedOn, edits })).toMatchObject({ status, body: { error: { code } } });
    expect(await ask('POST', '/api/sets/nobody/edits', { basedOn: 1, edits: rename })).toMatchObject({ status: 404 });
    expect((await ask('GET', path)).body).toMatchObject({ revision: 2, document: { name: 'Loft' } });
    const wrong = await ask('POST', `${path}/edits`, {
      basedOn: 2,
      edits: [{ kind: 'change-piece', id: 'piece-1', change: { width: -1 } }],
    });
    expect(wrong.body.error.issues[0]).toMatchObject({ path: 'pieces[0].width' });
  });

  it('are taken off the shelf and put back', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    expect((await ask('DELETE', `/api/sets/${body.id}`)).status).toBe(200);
    expect((await ask('GET', `/api/sets/${body.id}`)).status).toBe(404);
    expect((await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document })).status).toBe(404);
    expect((await ask('POST', `/api/sets/${body.id}/restore`)).status).toBe(200);
    expect((await ask('GET', `/api/sets/${body.id}`)).body.document.name).toBe('Attic');
  });

  it('a bad document comes back with every issue and its path', async () => {
    const { status, body } = await ask('POST', '/api/sets', { document: { ...document, pieces: [{ width: '5 feat' }, { height: -1 }] } });
    expect(status).toBe(422);
    expect(body.error.issues.map(({ path }: { path: string }) => path)).toEqual(['pieces[0].width', 'pieces[1].height']);
  });

  it.each<[string, string, string, unknown, number, string]>([
    ['no JSON', 'POST', '/api/sets', '{"document":', 400, 'bad-request'],
    ['no revision', 'PUT', '/api/sets/potting-shed', { document }, 400, 'bad-request'],
    ['an unknown set', 'GET', '/api/sets/nowhere', undefined, 404, 'set-not-found'],
    ['an unknown way', 'GET', '/api/sheds', undefined, 404, 'not-found'],
    ['too much', 'POST', '/api/sets', { document: { ...document, about: 'x'.repeat(5_000_000) } }, 413, 'body-too-large'],
  ])('%s is answered with a code', async (_, method, path, body, status, code) => {
    expect(await ask(method, path, body)).toMatchObject({ status, body: { error: { code } } });
  });

  it('what nobody foresaw is logged without its words, and answered without its inside', async () => {
    const secret = 'a name that a maker typed';
    const broken = await serve({
      store: {
        db: {
          select: () => {
            throw Object.assign(new Error(`Failed query: ${secret}`), { code: 'XX000' });
          },
        } as never,
        pictures: null,
        transaction: () => Promise.reject(new Error(secret)),
        record: async () => undefined,
        hasWhole: () => true,
        close: async () => undefined,
      },
    });
    const { status, body } = await broken.ask('GET', '/api/sets');
    expect([status, body]).toEqual([500, { error: { code: 'internal' } }]);
    expect(broken.log).toMatchObject([
      { level: 'error', event: 'fault', fault: 'Error', code: 'XX000' },
      { level: 'warn', event: 'request', method: 'GET', status: 500 },
    ]);
    expect(JSON.stringify(broken.log)).not.toContain(secret);
    await broken.stop();
  });
});

describe('the history of a set', () => {
  it('lists every save, the newest first, with what changed in words; any of them can be looked at', async () => {
    const { body } = await ask('POST', '/api/sets', { document, words: 'brought in' });
    await ask('PUT', `/api/sets/${body.id}`, { basedOn: 1, document: { ...document, name: 'Loft' } });
    await ask('PUT', `/api/sets/${body.id}`, {
      basedOn: 2,
      document: { ...document, name: 'Loft', pieces: [{ name: 'chest', height: '2 m' }] },
    });
    const { revisions } = (await ask('GET', `/api/sets/${body.id}/revisions`)).body;
    expect(revisions.map(({ revision, words }) => [revision, words])).toEqual([
      [3, 'chest: height 1800 mm → 2000 mm'],
      [2, 'The name of the set: “Attic” → “Loft”'],
      [1, 'brought in'],
    ]);
    expect(Date.parse(revisions[0]?.savedAt ?? '')).toBeGreaterThan(Date.now() - 60_000);
    expect((await ask('GET', `/api/sets/${body.id}/revisions/1`)).body.document.name).toBe('Attic');
    expect((await ask('GET', `/api/sets/${body.id}/revisions/2`)).body.document.name).toBe('Loft');
  });

  it.each(['/api/sets/nowhere/revisions', '/api/sets/potting-shed/revisions/99', '/api/sets/potting-shed/revisions/x'])(
    'of what is not there: %s',
    async (path) => {
      expect((await ask('GET', path)).status).toBe(404);
    },
  );
});

describe('sets off the shelf', () => {
  it('can be put back for thirty days, and say until when', async () => {
    const { body } = await ask('POST', '/api/sets', { document });
    await ask('DELETE', `/api/sets/${body.id}`);
    const away = (await ask('GET', '/api/away')).body.sets.find(({ id }) => id === body.id);
    expect(Math.round((Date.parse(away?.until ?? '') - Date.now()) / 86_400_000)).toBe(30);
    await ask('POST', `/api/sets/${body.id}/restore`);
    expect((await ask('GET', '/api/away')).body.sets.map(({ id }) => id)).not.toContain(body.id);
  });
});

describe('files and headers', () => {
  it('every view’s address gets the start page, hashed files may be kept, what is missing is missing', async () => {
    for (const path of ['/', '/sets', '/sets/a/pieces/b']) expect(await (await fetch(served.base + path)).text()).toContain('start page');
    expect((await fetch(`${served.base}/assets/x-123.js`)).headers.get('cache-control')).toContain('immutable');
    expect((await ask('GET', '/assets/gone.js')).status).toBe(404);
    expect((await ask('GET', '/..%2f..%2fpackage.json')).status).toBeGreaterThanOrEqual(400);
  });

  it('nothing may be loaded from elsewhere', async () => {
    const policy = (await fetch(served.base)).headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policy).not.toMatch(/https?:/);
  });
});
