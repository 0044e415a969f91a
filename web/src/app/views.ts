/** The views of a set in the order of the work; findings of `codes` are counted at their thumb. */
export const SET_VIEWS = [
  { path: 'doll', label: 'Doll', codes: ['does-not-suit'] },
  {
    path: 'pieces',
    label: 'Pieces',
    codes: [
      'cannot-be-built',
      'shelf-gap-too-low',
      'tips-over',
      'thickness-off-scale',
      'parts-interfere',
      'does-not-close',
      'part-is-loose',
    ],
  },
  { path: 'room', label: 'Room', codes: [] },
  { path: 'coverings', label: 'Coverings', codes: [] },
  {
    path: 'goods',
    label: 'Small goods',
    codes: ['too-thick-to-fold', 'strip-too-narrow', 'lid-too-tight', 'art-upside-down', 'words-too-small', 'no-such-shelf'],
  },
  { path: 'cutting', label: 'Cutting', codes: ['part-larger-than-board', 'part-joined'] },
  { path: 'printing', label: 'Printing', codes: [] },
] as const;

/** The address of the view that many pages further on (or back); the same where there is none. */
export const pageBeside = (path: string, step: 1 | -1): string => {
  const [, setId, view] = /^\/sets\/([^/]+)\/([^/]+)/.exec(path) ?? [];
  if (!setId) return path;
  const order = ['/sets', ...SET_VIEWS.map((each) => `/sets/${setId}/${each.path}`)];
  const at = order.indexOf(`/sets/${setId}/${view}`);
  return at < 0 ? path : (order[at + step] ?? path);
};
