import { Pause, Play, StepBack, StepForward } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/index.ts';

/** A fold takes so long, in ms; slow is three times that. */
const FOLD_TAKES = 900;

type Props = { readonly share: number; readonly folds: number; readonly onShare: (share: number) => void };

/** Folds it step by step: to and fro, playing, slower, or as far as the finger pulls. */
export const Player = ({ share, folds, onShare }: Props) => {
  const [playing, setPlaying] = useState(false);
  const [slow, setSlow] = useState(false);
  const at = useRef(share);
  at.current = share;
  const say = useRef(onShare);
  say.current = onShare;
  useEffect(() => {
    if (!playing) return undefined;
    const takes = FOLD_TAKES * Math.min(Math.max(1, folds), 14) * (slow ? 3 : 1);
    let last = performance.now();
    let asked = requestAnimationFrame(function go(now) {
      const next = Math.min(1, at.current + (now - last) / takes);
      last = now;
      say.current(next);
      if (next < 1) asked = requestAnimationFrame(go);
      else setPlaying(false);
    });
    return () => cancelAnimationFrame(asked);
  }, [playing, slow, folds]);
  const step = (way: 1 | -1): void => {
    setPlaying(false);
    const now = Math.round(share * folds * 1000) / 1000;
    const next = way > 0 ? Math.floor(now) + 1 : Math.ceil(now) - 1;
    onShare(Math.max(0, Math.min(1, next / Math.max(1, folds))));
  };
  const done = Math.min(folds, Math.floor(share * folds + 1e-6));
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Folding">
      <Button look="quiet" className="px-2.5!" aria-label="One fold back" disabled={share === 0} onClick={() => step(-1)}>
        <StepBack size={18} />
      </Button>
      <Button
        look="main"
        className="px-3!"
        aria-label={playing ? 'Stop here' : 'Fold it'}
        onClick={() => {
          if (!playing && share >= 1) onShare(0);
          setPlaying(!playing);
        }}
      >
        {playing ? <Pause size={18} /> : <Play size={18} />}
      </Button>
      <Button look="quiet" className="px-2.5!" aria-label="One fold on" disabled={share === 1} onClick={() => step(1)}>
        <StepForward size={18} />
      </Button>
      <input
        type="range"
        min={0}
        max={1000}
        step={1}
        value={Math.round(share * 1000)}
        aria-label="How far it is folded"
        aria-valuetext={`${done} of ${folds} folds`}
        onChange={(event) => {
          setPlaying(false);
          onShare(Number(event.target.value) / 1000);
        }}
        className="flex-1 min-w-24 min-h-touch accent-rose"
      />
      <Button look="quiet" className="px-2.5!" aria-pressed={slow} onClick={() => setSlow(!slow)}>
        {slow ? 'slow ✓' : 'slow'}
      </Button>
      <span className="text-small text-graphite tabular-nums w-24" aria-live="polite">
        {share === 0 ? 'flat' : share === 1 ? 'folded' : `fold ${Math.min(folds, done + 1)} of ${folds}`}
      </span>
    </div>
  );
};
