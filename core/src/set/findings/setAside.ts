// Judgements that a maker sets aside, because the thing is not for that.
import type { Aside } from '../../piece/index.ts';
import type { Piece } from '../document/document.ts';
import type { Edit } from '../document/edit.ts';
import type { Finding } from './finding.ts';

/** What a judgement is about: its code, and of what suits a doll the rule and what of the piece it judges. */
export const noteOf = (finding: Finding): string =>
  finding.code === 'does-not-suit' ? ['does-not-suit', finding.rule, finding.of].filter((word) => word !== '').join(' ') : finding.code;

/** Findings that count, and those that were set aside. What cannot be built or cut always counts. */
export const partedBy = (
  aside: readonly Aside[],
  findings: readonly Finding[],
): { readonly findings: readonly Finding[]; readonly aside: readonly Finding[] } => {
  const known = new Set(aside.map(({ note }) => note));
  const isAside = (finding: Finding): boolean => finding.severity !== 'error' && known.has(noteOf(finding));
  return { findings: findings.filter((each) => !isAside(each)), aside: findings.filter(isAside) };
};

/** Sets a judgement aside, or says why it was. */
export const setAside = (piece: Piece, finding: Finding, why: string): Edit => {
  const note = noteOf(finding);
  const aside = [...piece.aside.filter((each) => each.note !== note), { note, why }];
  return { kind: 'change-piece', id: piece.id, change: { aside } };
};

/** Lets a judgement count again. */
export const takeUp = (piece: Piece, finding: Finding): Edit => ({
  kind: 'change-piece',
  id: piece.id,
  change: { aside: piece.aside.filter(({ note }) => note !== noteOf(finding)) },
});
