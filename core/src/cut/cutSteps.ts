// µm, doll size. What the hand does with knife and rule, one cut after another.
import type { CutNode } from './cutTree.ts';
import type { Trim } from './supplies.ts';

/** A piece of board on the table, by a number of its own; the whole sheet is 0. Where it lay on the sheet, for the drawing. */
export type OffPiece = { readonly piece: number; readonly x: number; readonly y: number; readonly width: number; readonly height: number };

/** One cut: which piece, how far from its left (across) or lower (along) edge the rule lies, what falls off there, and what stays. Either is a
 *  part, by id, a rest, a piece that is cut again, or a strip of trim that is thrown away. */
export type CutStep = {
  readonly piece: number;
  readonly way: 'across' | 'along';
  readonly setting: number;
  readonly off: OffPiece & Becomes;
  readonly stays: OffPiece & Becomes;
};

export type Becomes = { readonly becomes: 'part' | 'rest' | 'cut again' | 'trim'; readonly part: string | null };

/** Cuts with one setting of the rule, one after another. */
export type CutSetting = { readonly way: 'across' | 'along'; readonly setting: number; readonly steps: readonly CutStep[] };

type Task = { readonly at: OffPiece; readonly node: CutNode };

const becomes = (node: CutNode | undefined): Becomes => {
  if (!node) return { becomes: 'trim', part: null };
  return { becomes: node.kind === 'strips' ? 'cut again' : node.kind, part: node.kind === 'part' ? node.id : null };
};

/** All steps that cut a sheet apart, in rounds: first the trim, then the strips of the whole sheet, then the strips of those, so that what is
 *  cut at one setting of the rule is cut together.
 *  Shape: tree of the room inside the trim → settings in the order of work, each with its steps. */
export const cutSteps = (
  sheet: { readonly width: number; readonly height: number },
  trim: Trim,
  tree: CutNode,
  gap: number,
): readonly CutSetting[] => {
  let pieces = 0;
  const newPiece = (x: number, y: number, width: number, height: number): OffPiece => {
    pieces += 1;
    return { piece: pieces, x, y, width, height };
  };
  const settings: CutSetting[] = [];
  let whole: OffPiece = { piece: 0, x: 0, y: 0, width: sheet.width, height: sheet.height };
  // The trim is a cut in the waste, so it takes no gap: the knife runs on its outer side.
  const sides = [
    ['across', trim.left, true],
    ['across', trim.right, false],
    ['along', trim.bottom, true],
    ['along', trim.top, false],
  ] as const;
  for (const [way, wide, low] of sides) {
    if (wide === 0) continue;
    const { x, y, width, height } = whole;
    const across = way === 'across';
    const side = across ? width : height;
    const lower = newPiece(x, y, across ? (low ? wide : side - wide) : width, across ? height : low ? wide : side - wide);
    const upper = newPiece(
      across ? x + lower.width : x,
      across ? y : y + lower.height,
      across ? width - lower.width : width,
      across ? height : height - lower.height,
    );
    const [strip, rest] = low ? [lower, upper] : [upper, lower];
    const kept = { ...rest, ...becomes(tree) };
    const off = { ...strip, ...becomes(undefined) };
    const step: CutStep = {
      piece: whole.piece,
      way,
      setting: across ? lower.width : lower.height,
      off: low ? off : kept,
      stays: low ? kept : off,
    };
    settings.push({ way, setting: step.setting, steps: [step] });
    whole = rest;
  }
  let round: readonly Task[] = [{ at: whole, node: tree }];
  while (round.length > 0) {
    const steps: CutStep[] = [];
    const next: Task[] = [];
    for (const { at, node } of round) {
      if (node.kind !== 'strips') continue;
      let left = at;
      node.strips.forEach((strip, index) => {
        const after = node.strips[index + 1];
        if (!after) {
          next.push({ at: left, node: strip });
          return;
        }
        const across = node.way === 'across';
        const setting = across ? strip.width : strip.height;
        const off = newPiece(left.x, left.y, across ? setting : left.width, across ? left.height : setting);
        const stays = newPiece(
          left.x + (across ? setting + gap : 0),
          left.y + (across ? 0 : setting + gap),
          Math.max(0, left.width - (across ? setting + gap : 0)),
          Math.max(0, left.height - (across ? 0 : setting + gap)),
        );
        const last = index + 2 === node.strips.length;
        steps.push({
          piece: left.piece,
          way: node.way,
          setting,
          off: { ...off, ...becomes(strip) },
          stays: { ...stays, ...(last ? becomes(after) : { becomes: 'cut again' as const, part: null }) },
        });
        next.push({ at: off, node: strip });
        left = stays;
      });
    }
    settings.push(...grouped(steps));
    round = next;
  }
  return settings;
};

/** Puts cuts of one setting together. Cuts of one piece keep their order: each needs what the one before left. */
const grouped = (steps: readonly CutStep[]): readonly CutSetting[] => {
  const waiting = [...steps];
  const ready = (step: CutStep): boolean => !waiting.some((other) => other.stays.piece === step.piece || other.off.piece === step.piece);
  const settings: CutSetting[] = [];
  while (waiting.length > 0) {
    const open = waiting.filter(ready);
    const first = open.reduce((most, step) => (step.setting > most.setting ? step : most));
    const same: CutStep[] = [];
    for (;;) {
      const index = waiting.findIndex((step) => step.way === first.way && step.setting === first.setting && ready(step));
      if (index < 0) break;
      same.push(...waiting.splice(index, 1));
    }
    settings.push({ way: first.way, setting: first.setting, steps: same });
  }
  return settings;
};
