import type { BoardLayout, DerivedPiece, DerivedSet, SetDocument } from '@parlor/core/set';
import { wrap } from 'comlink';
import type { DeriveReply, LayoutReply, Work } from './worker.ts';

const hire = () => wrap<Work>(new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' }));

/** The worker that derives, looks and makes pages, as asynchronous functions. */
export const workshop = hire();

/** Boards of a large set take most of a second; a worker of their own keeps that from the drawing board. */
const cuttingRoom = hire();

const restored = <T extends { readonly key: string }>(
  reply: readonly (T | { readonly key: string })[],
  known: Map<string, T>,
): readonly T[] => {
  const whole = reply.map((item) => ('id' in item || 'layout' in item ? (item as T) : (known.get(item.key) as T)));
  known.clear();
  for (const item of whole) known.set(item.key, item);
  return whole;
};

const pieces = new Map<string, DerivedPiece>();
const layouts = new Map<string, BoardLayout>();

/** Derives in the worker; unchanged pieces come back as the very same objects. Calls must not overlap. */
export const deriveThere = async (document: SetDocument): Promise<DerivedSet> => {
  const reply: DeriveReply = await workshop.derive(document);
  return { scale: reply.scale, pieces: restored<DerivedPiece>(reply.pieces, pieces) };
};

/** Lays out the boards in the worker. Calls must not overlap. */
export const layOutThere = async (document: SetDocument): Promise<readonly BoardLayout[]> => {
  const reply: LayoutReply = await cuttingRoom.layOut(document);
  return restored<BoardLayout>(reply, layouts);
};
