// Patience after wrong tries: whoever guesses waits longer and longer, and nobody else does.

const FREE_TRIES = 3;
const LONGEST_WAIT = 300;
const MOST_KNOWN = 10_000;

/** Seconds to wait after so many wrong tries: none for the first few, then doubling. */
export const waitAfter = (wrong: number): number => (wrong < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT, 2 ** (wrong - FREE_TRIES)));

type Tries = { count: number; notBefore: number; trying: boolean };

/** Wrong tries, counted for each who tries: a browser that was let in before, or a network. One who waits is not counted again, and a right try
 *  counts for nothing. Source: OWASP, "Slow Down Online Guessing Attacks with Device Cookies" (recalled from memory). */
export type Patience = {
  /** Seconds to wait before a try; a try that is under way is waited for too. */
  readonly wait: (who: string) => number;
  readonly begin: (who: string) => void;
  readonly end: (who: string, wasRight: boolean) => void;
};

export const patience = (now: () => number): Patience => {
  const known = new Map<string, Tries>();
  const of = (who: string): Tries => known.get(who) ?? { count: 0, notBefore: 0, trying: false };
  const keep = (who: string, tries: Tries): void => {
    // The one that was heard of least lately goes: the map keeps the order in which they came.
    known.delete(who);
    known.set(who, tries);
    const [oldest] = known.keys();
    if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
  };
  return {
    wait: (who) => {
      const { notBefore, trying } = of(who);
      return Math.max(trying ? 1 : 0, Math.ceil((notBefore - now()) / 1000));
    },
    begin: (who) => keep(who, { ...of(who), trying: true }),
    end: (who, wasRight) => {
      if (wasRight) known.delete(who);
      else {
        const count = of(who).count + 1;
        keep(who, { count, notBefore: now() + waitAfter(count) * 1000, trying: false });
      }
    },
  };
};
