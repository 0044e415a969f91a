import pLimit from 'p-limit';
import { useEffect, useRef, useState } from 'react';
import { onScreenThere, pictureThere, StoppedSearch } from '../../state/index.ts';
import { cx } from '../../ui/index.ts';
import { showPicture } from './showPicture.ts';

type Props = {
  readonly made: number;
  readonly index: number;
  readonly label: string;
  /** Of the paper, in µm. */
  readonly size: { readonly width: number; readonly height: number };
  readonly className?: string;
};

/** Two pages at a time, in their order: while one is painted the next is written, and the first is there soonest. */
const inLine = pLimit(2);

/** True once an element has come near the window. */
const useNear = (element: React.RefObject<Element | null>): boolean => {
  const [near, setNear] = useState(false);
  useEffect(() => {
    if (near || !element.current) return undefined;
    const observer = new IntersectionObserver((entries) => entries.some(({ isIntersecting }) => isIntersecting) && setNear(true), {
      rootMargin: '300px',
    });
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [near, element]);
  return near;
};

/** A page as the printer gets it: its own PDF, read back and painted once it comes into sight. Paper stays white at night. */
export const PagePicture = ({ made, index, label, size, className }: Props) => {
  const canvas = useRef<HTMLCanvasElement>(null);
  const near = useNear(canvas);
  const [state, setState] = useState<'waits' | 'there' | 'failed'>('waits');
  useEffect(() => {
    if (!near) return undefined;
    let current = true;
    const show = async () => {
      if (!current) return;
      const bytes = await onScreenThere(made, index);
      if (!bytes || !current || !canvas.current) return;
      const width = Math.round(canvas.current.clientWidth * Math.min(2, window.devicePixelRatio) * 1.2);
      const picture = await pictureThere(bytes, Math.max(200, width));
      const sheet = canvas.current;
      if (!current || !sheet) return picture.close();
      showPicture(sheet, picture);
      setState('there');
    };
    // Whoever writes pages may have been stopped for the sake of another: then this one is asked for again.
    const insist = (): Promise<void> =>
      inLine(show).catch((problem: unknown) => {
        if (!current) return undefined;
        return problem instanceof StoppedSearch ? insist() : setState('failed');
      });
    setState('waits');
    void insist();
    return () => {
      current = false;
    };
  }, [near, made, index]);
  return (
    <span className={cx('block relative', className)}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={label}
        aria-busy={state === 'waits'}
        data-page={index + 1}
        data-shown={state}
        className="block w-full bg-sheet shadow-leaf"
        style={{ aspectRatio: `${size.width} / ${size.height}` }}
      />
      {state === 'failed' && (
        <span className="absolute inset-x-3 top-1/3 font-hand text-body text-rose text-center">This page could not be shown.</span>
      )}
    </span>
  );
};
