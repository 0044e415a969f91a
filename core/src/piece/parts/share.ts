import { err, ok, type Result } from '../../kit/index.ts';

/** One item in a row: a fixed length, or a share of what the fixed ones leave. µm. */
export type Wish = { readonly fixed: number } | { readonly share: number };

/** Why a row of bays cannot be divided. */
export type NoRoom = { readonly code: 'no-room'; readonly available: number; readonly needed: number };

/** Divides a clear length among wishes as a flex row does: fixed first, the rest by share.
 *  Shape: n wishes → n whole lengths whose sum with n − 1 boards between is exactly `length`. With fixed wishes alone the last
 *  one takes what is left over. Shares are cut at rounded running sums, so no micrometre is lost.
 *  Errors: 'no-room' when the fixed ones and the boards leave nothing for a share. */
export const share = (length: number, wishes: readonly Wish[], between: number): Result<readonly number[], NoRoom> => {
  const clear = length - between * (wishes.length - 1);
  const fixed = wishes.reduce((sum, wish) => sum + ('fixed' in wish ? wish.fixed : 0), 0);
  const shares = wishes.reduce((sum, wish) => sum + ('share' in wish ? wish.share : 0), 0);
  const sharing = wishes.filter((wish) => 'share' in wish).length;
  const rest = clear - fixed;
  if (rest < sharing || (sharing === 0 && rest < 0)) {
    return err({ code: 'no-room', available: length, needed: fixed + between * (wishes.length - 1) + sharing });
  }
  let before = 0;
  const lengths = wishes.map((wish, index) => {
    if ('fixed' in wish) return wish.fixed + (sharing === 0 && index === wishes.length - 1 ? rest : 0);
    const from = Math.round((rest * before) / shares);
    before += wish.share;
    return Math.round((rest * before) / shares) - from;
  });
  return lengths.every((each) => each > 0)
    ? ok(lengths)
    : err({ code: 'no-room', available: length, needed: fixed + between * (wishes.length - 1) + sharing });
};
