import { useEffect } from 'react';

/** Turns by one with the arrow to the right, back by one with that to the left, wherever the focus is: hands are at the work. */
export const useArrows = (turn: (by: 1 | -1) => void): void => {
  useEffect(() => {
    const hear = ({ key }: KeyboardEvent) => {
      if (key === 'ArrowRight') turn(1);
      if (key === 'ArrowLeft') turn(-1);
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [turn]);
};
