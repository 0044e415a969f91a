// The maker's own pictures, fetched once and drawn from then on.
import { useSyncExternalStore } from 'react';

const images = new Map<string, HTMLImageElement>();
const listeners = new Set<() => void>();
let came = 0;

export const pictureUrl = (id: string): string => `/api/pictures/${id}`;

/** A picture, when it has come; asking for it makes it come. */
export const pictureImage = (id: string): HTMLImageElement | null => {
  const known = images.get(id);
  if (known) return known.complete && known.naturalWidth > 0 ? known : null;
  const image = new Image();
  image.onload = () => {
    came += 1;
    for (const listener of listeners) listener();
  };
  image.src = pictureUrl(id);
  images.set(id, image);
  return null;
};

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Changes whenever a picture has come, so that whoever draws pictures draws again. */
export const usePicturesCame = (): number =>
  useSyncExternalStore(
    subscribe,
    () => came,
    () => came,
  );
