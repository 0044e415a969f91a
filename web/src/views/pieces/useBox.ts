import { useEffect, useRef, useState } from 'react';

/** The size in pixels of an element, as it changes. */
export const useBox = <T extends HTMLElement>(width: number, height: number) => {
  const ref = useRef<T>(null);
  const [box, setBox] = useState({ width, height });
  useEffect(() => {
    const host = ref.current;
    if (!host) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setBox({ width: entry.contentRect.width, height: entry.contentRect.height }));
    observer.observe(host);
    return () => observer.disconnect();
  }, []);
  return { ref, ...box };
};
