import { useEffect, useState } from 'react';
import { Button } from './Button.tsx';

type Props = {
  readonly what: string;
  readonly onStop: () => void;
  /** How far it has come, where that is known. */
  readonly done?: number | undefined;
  readonly of?: number | undefined;
};

/** Shorter work is done before anybody looks. */
const LONG_MS = 300;

/** True once something has been going on for so long that one wants to know. */
export const useLong = (busy: boolean): boolean => {
  const [long, setLong] = useState(false);
  useEffect(() => {
    if (!busy) return setLong(false);
    const timer = setTimeout(() => setLong(true), LONG_MS);
    return () => clearTimeout(timer);
  }, [busy]);
  return busy && long;
};

/** Work that takes its time: what it is, how far it has come, and the way to stop it. */
export const Patience = ({ what, onStop, done, of }: Props) => (
  <div className="flex items-center gap-3 bg-oat rounded-soft pl-4 pr-1.5 min-h-touch font-hand text-lead" data-testid="patience">
    <span role="status">{what}</span>
    <progress
      className="flex-1 min-w-12 h-1.5 accent-moss"
      aria-label={what}
      {...(done === undefined || of === undefined ? {} : { value: done, max: of })}
    />
    <Button look="quiet" onClick={onStop}>
      stop
    </Button>
  </div>
);
