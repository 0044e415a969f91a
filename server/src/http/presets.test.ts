import { MODELS } from '@parlor/core/piece';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { MOST_PRESETS } from '../store/index.ts';
import { type Served, serve } from './serve.testing.ts';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.stop());

const ask: Served['ask'] = (...words) => served.ask(...words);
const keys = async (): Promise<readonly string[]> => (await ask('GET', '/api/presets')).body.presets.map(({ id }: { id: string }) => id);

describe('a maker’s own presets', () => {
  it('are none to begin with, are kept with every decision but without the set’s boards, and are forgotten', async () => {
    expect(await keys()).toEqual([]);
    const piece = { family: 'bed', name: 'Bunk of ours', levels: 'bunk', boards: { head: 'oak' }, rungs: '31 cm' };
    const kept = await ask('POST', '/api/presets', { piece });
    expect(kept).toMatchObject({
      status: 201,
      body: { name: 'Bunk of ours', piece: { levels: 'bunk', rungs: 310_000, boards: { head: null } } },
    });
    const { body } = await ask('GET', '/api/presets');
    expect(body.presets).toEqual([{ id: kept.body.id, piece: kept.body.piece }]);
    expect(await ask('DELETE', `/api/presets/${kept.body.id}`)).toMatchObject({ status: 200 });
    expect(await keys()).toEqual([]);
    expect(await ask('DELETE', `/api/presets/${kept.body.id}`)).toMatchObject({
      status: 404,
      body: { error: { code: 'preset-not-found' } },
    });
  });

  it('are refused with the field and the reason when they are no piece', async () => {
    const refused = await ask('POST', '/api/presets', {
      piece: { family: 'casework', width: '-4 cm', front: { kind: 'door', behind: { kind: 'plate' } } },
    });
    expect(refused.status).toBe(422);
    expect(refused.body.error.issues.map(({ path }: { path: string }) => path)).toEqual(['width', 'front']);
    const boat = await ask('POST', '/api/presets', { piece: { family: 'boat' } });
    expect([boat.status, boat.body.error.issues[0]?.message]).toEqual([422, `“family” must be one of ${Object.keys(MODELS).join(', ')}.`]);
    for (const piece of [null, 7, 'x', []]) expect((await ask('POST', '/api/presets', { piece })).status).toBe(422);
    expect(await keys()).toEqual([]);
  });

  it(`are at most ${MOST_PRESETS}; the one too many is refused and the others stay`, async () => {
    for (let number = 0; number < MOST_PRESETS; number += 1) await ask('POST', '/api/presets', { piece: { name: `piece ${number}` } });
    expect(await ask('POST', '/api/presets', { piece: {} })).toMatchObject({
      status: 409,
      body: { error: { code: 'too-many-presets', most: MOST_PRESETS } },
    });
    expect(await keys()).toHaveLength(MOST_PRESETS);
  });
});
