import type { FindingView } from '@parlor/core/set';

/** The views of a set in the order of the work. */
export const SET_VIEWS: readonly { readonly path: FindingView; readonly label: string }[] = [
  { path: 'doll', label: 'Doll' },
  { path: 'pieces', label: 'Pieces' },
  { path: 'room', label: 'Room' },
  { path: 'coverings', label: 'Coverings' },
  { path: 'goods', label: 'Small goods' },
  { path: 'cutting', label: 'Cutting' },
  { path: 'printing', label: 'Printing' },
];

/** The address of the view that many pages further on (or back); the same where there is none. */
export const pageBeside = (path: string, step: 1 | -1): string => {
  const [, setId, view] = /^\/sets\/([^/]+)\/([^/]+)/.exec(path) ?? [];
  if (!setId) return path;
  const order = ['/sets', ...SET_VIEWS.map((each) => `/sets/${setId}/${each.path}`)];
  const at = order.indexOf(`/sets/${setId}/${view}`);
  return at < 0 ? path : (order[at + step] ?? path);
};
