// The open document goes to a worker once; after that it is told the edits.
import { applyEdit, type Edit, type SetDocument } from '@parlor/core/set';

/** A document by its number, and how a worker comes to it: it has it, it makes it of the one it has, or it is given it whole. */
export type DocumentRef =
  | { readonly at: number }
  | { readonly at: number; readonly base: number; readonly edits: readonly Edit[] }
  | { readonly at: number; readonly whole: SetDocument };

/** The number of the document that a worker holds; null when it has none. */
export type Holder = { at: number | null };

/** So many edits are remembered; who fell further behind is given the document whole. */
const MOST = 200;

/** Numbers documents, and knows the edits between them. */
export const documentLog = () => {
  const numbers = new WeakMap<SetDocument, number>();
  const steps = new Map<number, { readonly from: number; readonly edit: Edit }>();
  let count = 0;
  const numberOf = (document: SetDocument): number => {
    const known = numbers.get(document);
    if (known !== undefined) return known;
    count += 1;
    numbers.set(document, count);
    return count;
  };
  /** The edits that lead from one document to another, by their numbers. */
  const between = (from: number, to: number): readonly Edit[] | null => {
    const edits: Edit[] = [];
    for (let at = to; at !== from; ) {
      const step = steps.get(at);
      if (!step || edits.length >= MOST) return null;
      edits.unshift(step.edit);
      at = step.from;
    }
    return edits;
  };
  return {
    /** Hears that an edit made one document of another. */
    follow: (before: SetDocument, edit: Edit, after: SetDocument): void => {
      if (before === after || numbers.has(after)) return;
      const from = numberOf(before);
      const at = numberOf(after);
      steps.set(at, { from, edit });
      steps.delete(at - MOST);
    },
    /** How a worker is told of a document; from then on it holds that one. */
    tell: (holder: Holder, document: SetDocument): DocumentRef => {
      const at = numberOf(document);
      const base = holder.at;
      holder.at = at;
      if (base === at) return { at };
      const edits = base === null ? null : between(base, at);
      return base === null || edits === null ? { at, whole: document } : { at, base, edits };
    },
  };
};

/** What a worker holds of the open document. What an edit left alone stays the very same object. */
export const documentHeld = () => {
  let held: { readonly at: number; readonly document: SetDocument } | undefined;
  return (ref: DocumentRef): SetDocument => {
    if ('whole' in ref) held = { at: ref.at, document: ref.whole };
    else if ('edits' in ref && held?.at === ref.base)
      held = { at: ref.at, document: ref.edits.reduce((document, edit) => applyEdit(document, edit).document, held.document) };
    if (held?.at !== ref.at) throw new Error(`document ${ref.at} is not here, but ${held?.at ?? 'none'}`);
    return held.document;
  };
};
