import { type ComponentType, lazy, Suspense, useCallback, useLayoutEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { createBrowserRouter, Navigate, Outlet, RouterProvider, useLocation } from 'react-router';
import { openEarly, store, useAppSelector } from '../state/index.ts';
import { Notice } from './Notice.tsx';
import { SideBoard } from './SideBoard.tsx';
import { TwinRule } from './TwinRule.tsx';
import { useShortcuts } from './useShortcuts.ts';

const VIEWS = {
  sets: async () => ({ default: (await import('../views/sets/index.ts')).SetsView }),
  doll: async () => ({ default: (await import('../views/doll/index.ts')).DollView }),
  pieces: async () => ({ default: (await import('../views/pieces/index.ts')).PiecesView }),
  room: async () => ({ default: (await import('../views/room/index.ts')).RoomView }),
  coverings: async () => ({ default: (await import('../views/coverings/index.ts')).CoveringsView }),
  goods: async () => ({ default: (await import('../views/goods/index.ts')).GoodsView }),
  cutting: async () => ({ default: (await import('../views/cutting/index.ts')).CuttingView }),
  printing: async () => ({ default: (await import('../views/printing/index.ts')).PrintingView }),
  history: async () => ({ default: (await import('../views/history/index.ts')).HistoryView }),
} as const;

const fetchFrame = async () => ({ default: (await import('./SetFrame.tsx')).SetFrame });

type Views = Readonly<Record<keyof typeof VIEWS | 'frame', ComponentType>>;

/** Fetches the view that the address names before anything is drawn: had it to be waited for on the page, the page would be held back
 *  for longer than the fetching takes. The others are fetched when they are turned to. */
const fetchViews = async (path: string): Promise<Views> => {
  const named =
    /^\/sets\/[^/]+\/(doll|pieces|room|coverings|goods|cutting|printing|history)/.exec(path)?.[1] ??
    (path.startsWith('/sets/') ? 'pieces' : 'sets');
  const [first, frame] = await Promise.all([VIEWS[named as keyof typeof VIEWS](), named === 'sets' ? null : fetchFrame()]);
  const entries = Object.entries(VIEWS).map(([name, fetch]) => [name, name === named ? first.default : lazy<ComponentType>(fetch)]);
  return { ...Object.fromEntries(entries), frame: frame?.default ?? lazy(fetchFrame) } as Views;
};

const KeySheet = lazy(async () => ({ default: (await import('./KeySheet.tsx')).KeySheet }));
const DoorView = lazy(async () => ({ default: (await import('../views/door/index.ts')).DoorView }));
/** For developers only; a build leaves it out. */
const Workbench = import.meta.env.DEV ? lazy(async () => ({ default: (await import('../views/workbench/index.ts')).Workbench })) : null;

/** The table: the open book, its thumb index at the outer edge, the twin rule along the lower edge. */
const Table = () => {
  const { night, locked } = useAppSelector((state) => state.ui);
  const { pathname } = useLocation();
  const [keys, setKeys] = useState(false);
  const showKeys = useCallback(() => setKeys(true), []);
  useShortcuts(showKeys);
  // Before the views' own effects, so that whoever reads colours off the page reads the new ones.
  useLayoutEffect(() => {
    document.documentElement.classList.toggle('night', night);
  }, [night]);
  return (
    <div className="h-dvh grid grid-rows-[minmax(0,1fr)_auto] grid-cols-[minmax(0,1fr)_auto] max-md:grid-cols-1">
      <main data-at={pathname} className="min-h-0 min-w-0 pt-3.5 pl-3.5 pb-3 max-md:p-0">
        <Suspense fallback={<p className="p-10 font-hand text-graphite">turning the page …</p>}>
          {locked ? <DoorView /> : <Outlet />}
        </Suspense>
      </main>
      <SideBoard onKeys={showKeys} />
      <TwinRule />
      <Notice />
      {keys && (
        <Suspense>
          <KeySheet open onOpenChange={setKeys} />
        </Suspense>
      )}
    </div>
  );
};

const routerOf = (views: Views) =>
  createBrowserRouter([
    {
      element: <Table />,
      errorElement: <Table />,
      children: [
        { index: true, element: <Navigate to="/sets" replace /> },
        { path: 'sets', element: <views.sets /> },
        {
          path: 'sets/:setId',
          element: <views.frame />,
          children: [
            { index: true, element: <Navigate to="pieces" replace /> },
            { path: 'doll', element: <views.doll /> },
            { path: 'pieces', element: <views.pieces /> },
            { path: 'pieces/:pieceId', element: <views.pieces /> },
            { path: 'room', element: <views.room /> },
            { path: 'room/:pieceId', element: <views.room /> },
            { path: 'coverings', element: <views.coverings /> },
            { path: 'coverings/:pieceId', element: <views.coverings /> },
            { path: 'goods', element: <views.goods /> },
            { path: 'goods/:pieceId', element: <views.goods /> },
            { path: 'cutting', element: <views.cutting /> },
            { path: 'printing', element: <views.printing /> },
            { path: 'history', element: <views.history /> },
          ],
        },
        ...(Workbench ? [{ path: 'workbench', element: <Workbench /> }] : []),
        { path: '*', element: <Navigate to="/sets" replace /> },
      ],
    },
  ]);

/** The application, once its first view is there. */
export const makeApp = async (): Promise<ComponentType> => {
  const { pathname } = window.location;
  openEarly(pathname, store.dispatch);
  const views = await fetchViews(pathname);
  // What has come meanwhile is taken in first, so that the view is drawn once with it and not twice.
  await new Promise((taken) => setTimeout(taken));
  const router = routerOf(views);
  return () => (
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  );
};
