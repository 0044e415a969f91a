// The process is killed in the middle of saves, again and again; what it acknowledged must be there.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom } from '@parlor/core/kit';
import { killed, start } from './process.testing.ts';

const SETS = ['harbour-post-office', 'potting-shed', 'night-ferry-hall'];

type Known = { revision: number; name: string; tried: string };

/** Saves over and over and kills in between, so many times. Gives back how many saves were tried, and what was lost or half-written, in words. */
export const killRounds = async (
  rounds: number,
  seed: number,
  told: (done: number) => unknown = () => undefined,
): Promise<{ readonly tried: number; readonly lost: readonly string[] }> => {
  const random = seededRandom(seed);
  const known = new Map<string, Known>(SETS.map((id) => [id, { revision: 1, name: '', tried: '' }]));
  const lost: string[] = [];
  let tried = 0;
  /** Saves one set over and over until the application is gone. */
  const hammer = async (address: string, id: string): Promise<void> => {
    const state = known.get(id) as Known;
    for (;;) {
      tried += 1;
      state.tried = `save ${tried} ${'x'.repeat(Math.floor(random() * 60))}`;
      // Most are edits, as they are in life; some are sent as the whole document.
      const whole = tried % 5 === 0;
      const change = { name: state.tried, about: 'y'.repeat(500) };
      const sent = whole
        ? { document: { format: 'bashful-parlor-set', version: 1, ...change } }
        : { edits: [{ kind: 'change-set', change }] };
      const answer = await fetch(`${address}api/sets/${id}${whole ? '' : '/edits'}`, {
        method: whole ? 'PUT' : 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ basedOn: state.revision, ...sent }),
      }).catch(() => null);
      if (!answer?.ok) return;
      const body = (await answer.json().catch(() => null)) as { revision: number } | null;
      if (!body) return;
      state.revision = body.revision;
      state.name = state.tried;
    }
  };
  const directory = mkdtempSync(join(tmpdir(), 'parlor-crash-'));
  for (let round = 0; round < rounds; round += 1) {
    const { child, address } = await start(directory);
    for (const id of SETS) {
      const state = known.get(id) as Known;
      const found = (await (await fetch(`${address}api/sets/${id}`)).json()) as { revision: number; document: { name: string } };
      // The save under way when the kill came may have been written without its answer; nothing else may have changed.
      const unanswered = found.revision === state.revision + 1 && found.document.name === state.tried;
      const same = found.revision === state.revision && (state.name === '' || found.document.name === state.name);
      if (!unanswered && !same) lost.push(`round ${round}, ${id}: save ${state.revision} is save ${found.revision}`);
      Object.assign(state, { revision: found.revision, name: found.document.name });
    }
    const { notices } = (await (await fetch(`${address}api/shelf`)).json()) as { notices: unknown[] };
    if (notices.length > 0) lost.push(`round ${round}: ${JSON.stringify(notices)}`);
    const hands = SETS.map((id) => hammer(address, id));
    await new Promise((later) => setTimeout(later, 60 + random() * 240));
    await killed(child);
    await Promise.all(hands);
    told(round + 1);
  }
  rmSync(directory, { recursive: true, force: true });
  return { tried, lost };
};
