// Judgements that a maker sets aside, because the thing is not for that.
import type { Aside } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';
import type { Finding } from './finding.ts';

/** What a judgement is about: its code, and of what suits a doll the rule and what of the piece it judges. */
export const noteOf = (finding: Finding): string =>
  finding.code === 'does-not-suit' ? ['does-not-suit', finding.rule, finding.of].filter((word) => word !== '').join(' ') : finding.code;

/** What stands for every judgement of use, set aside together for what is only looked at. */
const ONLY_SEEN = 'use';

const OF_USE: ReadonlySet<Finding['code']> = new Set(['does-not-suit', 'legs-in-the-way']);

/** Whether a finding judges how a doll would use the thing: nothing of that holds for what is only looked at. */
export const isOfUse = ({ code }: Finding): boolean => OF_USE.has(code);

/** Under what a judgement is set aside: with all others of use where the thing is only looked at, else by itself. */
const noteAmong = (aside: readonly Aside[], finding: Finding): string =>
  isOfUse(finding) && aside.some(({ note }) => note === ONLY_SEEN) ? ONLY_SEEN : noteOf(finding);

/** Findings that count, and those that were set aside. What cannot be built or cut always counts. */
export const partedBy = (
  aside: readonly Aside[],
  findings: readonly Finding[],
): { readonly findings: readonly Finding[]; readonly aside: readonly Finding[] } => {
  const known = new Set(aside.map(({ note }) => note));
  const isAside = (finding: Finding): boolean => finding.severity !== 'error' && known.has(noteAmong(aside, finding));
  return { findings: findings.filter((each) => !isAside(each)), aside: findings.filter(isAside) };
};

/** Why a judgement was set aside, as its maker wrote it. */
export const whyAside = ({ aside }: Piece, finding: Finding): string =>
  aside.find(({ note }) => note === noteAmong(aside, finding))?.why ?? '';

const withNote = (piece: Piece, note: string, why: string): Edit => {
  const aside = [...piece.aside.filter((each) => each.note !== note), { note, why }];
  return { kind: 'change-piece', id: piece.id, change: { aside } };
};

/** Sets a judgement aside, or says why it was. */
export const setAside = (piece: Piece, finding: Finding, why: string): Edit => withNote(piece, noteAmong(piece.aside, finding), why);

/** Says that a thing is only looked at: every judgement of use is set aside, those too that come later. */
export const onlySeen = (piece: Piece): Edit => withNote(piece, ONLY_SEEN, 'it is only looked at');

/** Lets a judgement count again, and with it all that was set aside with it. */
export const takeUp = (piece: Piece, finding: Finding): Edit => {
  const note = noteAmong(piece.aside, finding);
  return { kind: 'change-piece', id: piece.id, change: { aside: piece.aside.filter((each) => each.note !== note) } };
};
