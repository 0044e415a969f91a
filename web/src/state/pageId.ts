// Which page this is, among all that are open in this browser, and which of the others are still there.

const PLACE = 'parlor.tab';
const lockOf = (tab: string): string => `parlor.tab.${tab}`;

/** Holds a lock for as long as the page lives; false when another page holds it. Where the browser has no locks, true. */
const hold = (tab: string): Promise<boolean> => {
  if (!navigator.locks) return Promise.resolve(true);
  return new Promise((held) => {
    void navigator.locks
      .request(lockOf(tab), { ifAvailable: true }, (lock) => {
        held(lock !== null);
        return lock === null ? undefined : new Promise(() => undefined);
      })
      .catch(() => held(true));
  });
};

const remembered = (): string | null => {
  try {
    return sessionStorage.getItem(PLACE);
  } catch {
    return null;
  }
};

const remember = (tab: string): string => {
  try {
    sessionStorage.setItem(PLACE, tab);
  } catch {
    // Without it a reload is taken for a page of its own, and finds what it kept as that of a page that is gone.
  }
  return tab;
};

const fresh = (): string => Array.from(crypto.getRandomValues(new Uint8Array(9)), (byte) => byte.toString(36).padStart(2, '0')).join('');

/** This page's name. It stays over a reload; a page that was duplicated finds the name taken and gets its own. */
export const thisPage: Promise<string> = (async () => {
  const known = remembered();
  if (known !== null && (await hold(known))) return known;
  const tab = fresh();
  await hold(tab);
  return remember(tab);
})();

/** The pages that are open now; null where the browser does not tell. */
export const livingPages = async (): Promise<ReadonlySet<string> | null> => {
  const held = (await navigator.locks?.query().catch(() => undefined))?.held;
  return held ? new Set(held.flatMap(({ name }) => (name?.startsWith('parlor.tab.') ? [name.slice('parlor.tab.'.length)] : []))) : null;
};
