// The other pages of this browser, told when a set was saved, so that they do not work on an old one.

export type Told = { readonly id: string; readonly revision: number };

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('parlor');

export const tellOtherPages = (told: Told): void => channel?.postMessage(told);

/** Hears what other pages saved; gives back how to stop hearing. */
export const hearOtherPages = (heard: (told: Told) => void): (() => void) => {
  const listen = ({ data }: MessageEvent<Told>) => heard(data);
  channel?.addEventListener('message', listen);
  return () => channel?.removeEventListener('message', listen);
};
