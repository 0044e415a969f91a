// The process is killed in the middle of saves, again and again; what it acknowledged must be there.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom } from '@parlor/core/kit';
import { afterAll, describe, expect, it } from 'vitest';
import { endAll, killed, start } from './process.testing.ts';

const ROUNDS = 20;
const SETS = ['harbour-post-office', 'potting-shed', 'night-ferry-hall'];
const random = seededRandom(20);

type Known = { revision: number; name: string; tried: string };
const known = new Map<string, Known>(SETS.map((id) => [id, { revision: 1, name: '', tried: '' }]));
let count = 0;

/** Saves one set over and over until the application is gone. */
const hammer = async (address: string, id: string): Promise<void> => {
  const state = known.get(id) as Known;
  for (;;) {
    count += 1;
    state.tried = `save ${count} ${'x'.repeat(Math.floor(random() * 60))}`;
    const document = { format: 'bashful-parlor-set', version: 1, name: state.tried, about: 'y'.repeat(500) };
    const answer = await fetch(`${address}api/sets/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ basedOn: state.revision, document }),
    }).catch(() => null);
    if (!answer?.ok) return;
    const body = (await answer.json().catch(() => null)) as { revision: number } | null;
    if (!body) return;
    state.revision = body.revision;
    state.name = state.tried;
  }
};

afterAll(endAll);

describe('killed in mid-save', () => {
  it(`over ${ROUNDS} rounds keeps every save it acknowledged, and is never half-written`, { timeout: 240_000 }, async () => {
    const directory = mkdtempSync(join(tmpdir(), 'parlor-crash-'));
    for (let round = 0; round < ROUNDS; round += 1) {
      const { child, address } = await start(directory);
      for (const id of SETS) {
        const state = known.get(id) as Known;
        const found = (await (await fetch(`${address}api/sets/${id}`)).json()) as { revision: number; document: { name: string } };
        if (state.name !== '') {
          // The save under way when the kill came may have been written without its answer; nothing else may have changed.
          const unanswered = found.revision === state.revision + 1 && found.document.name === state.tried;
          expect(unanswered || (found.revision === state.revision && found.document.name === state.name), `round ${round}, ${id}`).toBe(
            true,
          );
        }
        Object.assign(state, { revision: found.revision, name: found.document.name });
      }
      const hands = SETS.map((id) => hammer(address, id));
      await new Promise((later) => setTimeout(later, 60 + random() * 240));
      await killed(child);
      await Promise.all(hands);
    }
    expect(count).toBeGreaterThan(ROUNDS * SETS.length);
  });
});
