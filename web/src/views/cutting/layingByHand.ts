// A part taken up with the mouse, carried over the sheets, and laid down where it is to stay.
import type { CutItem, CutRules, LotPlacement, Sheet } from '@parlor/core/cut';
import { placeNear } from '@parlor/core/set';
import { type PointerEvent, useEffect, useRef, useState } from 'react';
import { pauseSearching, searchAgain } from '../../state/index.ts';
import { pointOn } from './onSheet.ts';

/** The part in the hand, over which sheet, and where it would come to lie there; null where there is no room. */
export type Carried = { readonly part: string; readonly over: number | null; readonly placement: LotPlacement | null };

type Grip = {
  readonly placement: LotPlacement;
  readonly dx: number;
  readonly dy: number;
  readonly startX: number;
  readonly startY: number;
  /** A finger scrolls: it picks a part by a tap, and moves it with buttons. */
  readonly touch: boolean;
  carrying: boolean;
};

/** So far the mouse must go before a press is more than a click. */
const FAR = 5;

type Hand = {
  readonly carried: Carried | null;
  readonly take: (event: PointerEvent<SVGGElement>, sheet: Sheet, placement: LotPlacement) => void;
};

/** Lets parts of one board be carried from sheet to sheet. `onClick` hears of parts that were only pressed. Escape lays the part back. */
export const useCarrying = (
  sheets: readonly Sheet[],
  items: ReadonlyMap<string, CutItem>,
  rules: CutRules,
  onClick: (part: string) => void,
  onLaid: (sheet: Sheet, placement: LotPlacement) => void,
): Hand => {
  const [carried, setCarried] = useState<Carried | null>(null);
  const grip = useRef<Grip | null>(null);
  const now = useRef({ sheets, items, rules, onClick, onLaid, carried });
  now.current = { sheets, items, rules, onClick, onLaid, carried };
  useEffect(() => {
    const seek = (clientX: number, clientY: number, held: Grip): Carried => {
      const { sheets: all, items: parts, rules: how } = now.current;
      const svg = document.elementFromPoint(clientX, clientY)?.closest<SVGSVGElement>('svg[data-sheet]');
      const over = svg ? Number(svg.dataset.sheet) : Number.NaN;
      const sheet = all[over];
      const part = held.placement.id;
      // Sheets of another board are no place for it.
      if (!svg || !sheet || !svg.closest('section')?.querySelector(`[data-part="${CSS.escape(part)}"]`))
        return { part, over: null, placement: null };
      const [x, y] = pointOn(svg, sheet, clientX, clientY);
      const wanted = { ...held.placement, x: x - held.dx, y: y - held.dy };
      return { part, over, placement: placeNear(sheet, parts, wanted, how) ?? null };
    };
    const move = ({ clientX, clientY }: globalThis.PointerEvent): void => {
      const held = grip.current;
      if (!held) return;
      if (!held.carrying && Math.hypot(clientX - held.startX, clientY - held.startY) < FAR) return;
      if (held.touch) {
        grip.current = null;
        return;
      }
      // Nothing else moves while something is in the hand.
      if (!held.carrying) pauseSearching();
      held.carrying = true;
      setCarried(seek(clientX, clientY, held));
    };
    const drop = ({ clientX, clientY }: globalThis.PointerEvent): void => {
      const held = grip.current;
      grip.current = null;
      setCarried(null);
      if (!held) return;
      if (!held.carrying) {
        now.current.onClick(held.placement.id);
        return;
      }
      const { over, placement } = seek(clientX, clientY, held);
      const sheet = over === null ? undefined : now.current.sheets[over];
      if (sheet && placement) now.current.onLaid(sheet, placement);
      else searchAgain();
    };
    const letBe = (): void => {
      if (grip.current?.carrying) searchAgain();
      grip.current = null;
      setCarried(null);
    };
    const onKey = ({ key }: KeyboardEvent): void => {
      if (key === 'Escape') letBe();
    };
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', drop);
    window.addEventListener('pointercancel', letBe);
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', drop);
      window.removeEventListener('pointercancel', letBe);
      window.removeEventListener('keydown', onKey);
    };
  }, []);
  return {
    carried,
    take: (event, sheet, placement) => {
      if (event.button !== 0) return;
      const svg = event.currentTarget.ownerSVGElement;
      if (!svg) return;
      const [x, y] = pointOn(svg, sheet, event.clientX, event.clientY);
      const touch = event.pointerType === 'touch';
      if (!touch) event.preventDefault();
      grip.current = {
        placement,
        dx: x - placement.x,
        dy: y - placement.y,
        startX: event.clientX,
        startY: event.clientY,
        touch,
        carrying: false,
      };
    },
  };
};
