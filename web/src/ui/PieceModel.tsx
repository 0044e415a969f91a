import { lazy, Suspense, useEffect, useState } from 'react';
import type { ModelProps } from './Model3D.tsx';
import { canDrawModel } from './modelCanvas.ts';
import { NoModel } from './NoModel.tsx';

/** The model is large and only looked at, so it is fetched when everything that is read and typed in stands there. */
let unhurried = false;
const useUnhurried = (): boolean => {
  const [ready, setReady] = useState(unhurried);
  useEffect(() => {
    const go = () => {
      unhurried = true;
      setReady(true);
    };
    if (typeof requestIdleCallback === 'undefined') {
      const timer = setTimeout(go, 300);
      return () => clearTimeout(timer);
    }
    const asked = requestIdleCallback(go, { timeout: 2000 });
    return () => cancelIdleCallback(asked);
  }, []);
  return ready;
};

const Model3D = lazy(async () => ({ default: (await import('./Model3D.tsx')).Model3D }));

/** The piece in three dimensions, where this browser can draw it; fills its place. */
export const PieceModel = (props: ModelProps) => {
  const ready = useUnhurried();
  const building = <p className="p-6 font-hand text-graphite">building it …</p>;
  if (ready && !canDrawModel()) return <NoModel />;
  return <Suspense fallback={building}>{ready ? <Model3D {...props} /> : building}</Suspense>;
};
