import { type DOMAttributes, type PointerEvent, type RefObject, useRef, useState } from 'react';

/** A place on a drawing, in µm. */
export type DrawingPoint = readonly [x: number, y: number];

type Moves<T> = {
  /** Which way y runs on the drawing, where it is drawn in millimetres. */
  readonly y: 'down' | 'up';
  /** What is in hand, when the pointer has come to a place. */
  readonly moved: (held: T, at: DrawingPoint, event: PointerEvent) => T;
  readonly dropped: (held: T) => void;
  /** Called whenever nothing is in hand any more, whether it was dropped or given up. */
  readonly letGo?: () => void;
};

type Drag<T> = {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly held: T | null;
  readonly pointOf: (event: PointerEvent) => DrawingPoint;
  /** Takes something in hand; the pointer is the drawing's until it is let go. */
  readonly take: (pointer: number, held: T) => void;
  /** For the drawing itself. */
  readonly handlers: Pick<DOMAttributes<SVGSVGElement>, 'onPointerMove' | 'onPointerUp' | 'onPointerCancel'>;
};

/** Dragging on a drawing in millimetres: something is taken in hand, moved and dropped, or given up. */
export const useSvgDrag = <T>({ y: runs, moved, dropped, letGo }: Moves<T>): Drag<T> => {
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<T | null>(null);
  const pointOf = (event: PointerEvent): DrawingPoint => {
    const matrix = svg.current?.getScreenCTM();
    if (!matrix) return [0, 0];
    const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return [x * 1000, y * (runs === 'up' ? -1000 : 1000)];
  };
  const end = (): void => {
    setHeld(null);
    letGo?.();
  };
  return {
    svg,
    held,
    pointOf,
    take: (pointer, next) => {
      setHeld(next);
      svg.current?.setPointerCapture(pointer);
    },
    handlers: {
      onPointerMove: (event) => {
        if (held !== null) setHeld(moved(held, pointOf(event), event));
      },
      onPointerUp: () => {
        if (held !== null) dropped(held);
        end();
      },
      onPointerCancel: end,
    },
  };
};
