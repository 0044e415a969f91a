import type { Piece, SentEdits, SetDocument } from '@parlor/core/set';

/** What the server says of a set on the shelf. */
export type SetSummary = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly revision: number;
  readonly updatedAt: string;
};

/** A set off the shelf, and until when it can be put back. */
export type AwaySummary = SetSummary & { readonly until: string };

/** A save in the history of a set. */
export type RevisionSummary = { readonly revision: number; readonly savedAt: string; readonly words: string };

/** A piece that the maker keeps to start others from. */
export type OwnPreset = { readonly id: string; readonly piece: Piece };

export type StoredSet = { readonly id: string; readonly revision: number; readonly document: SetDocument };

/** What the shelf has to tell of what was found at its last start. */
export type Notice = {
  readonly id: string;
  readonly at: string;
  readonly what: 'rebuilt' | 'journal-damaged' | 'entries-missing' | 'reading-only';
  readonly why: string;
  readonly aside: string | null;
  readonly entries: number;
  readonly missing: number;
};

/** The shelf as a whole: what it has to tell, and when its newest copy was made. */
export type ShelfState = {
  readonly notices: readonly Notice[];
  readonly newestCopy: string | null;
  readonly pictures: { readonly count: number; readonly bytes: number };
};

/** What came back of a copy. */
export type Restored = {
  readonly sets: number;
  readonly besides: number;
  readonly already: number;
  readonly presets: number;
  readonly pictures: number;
};

export type SessionSummary = { readonly id: string; readonly createdAt: string; readonly seenAt: string; readonly own: boolean };

/** Why a request came to nothing: the server could not be reached, or it refused, and how. */
export type ApiError = {
  readonly code: string;
  readonly revision?: number;
  readonly seconds?: number;
  readonly megabytes?: number;
  readonly megapixels?: number;
  readonly most?: number;
  readonly row?: number;
  readonly reason?: string;
  readonly issues?: readonly { path: string; message: string }[];
};

export type ApiResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const LONGEST_WAIT = 20_000;

let locked = (): void => undefined;

/** Names what is done when the application asks for its pass phrase. */
export const whenLocked = (act: () => void): void => {
  locked = act;
};

const request = async <T>(method: string, path: string, body?: unknown): Promise<ApiResult<T>> => {
  try {
    const response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(LONGEST_WAIT),
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    const data = await response.json();
    if (response.status === 401) locked();
    return response.ok ? { ok: true, value: data } : { ok: false, error: data.error ?? { code: 'internal' } };
  } catch {
    return { ok: false, error: { code: 'offline' } };
  }
};

/** What the server keeps of a picture that was brought in. */
export type KeptPicture = { readonly id: string; readonly width: number; readonly height: number };

/** A large picture over a slow line takes its time. */
const LONGEST_PICTURE = 120_000;

const sendPicture = async (file: Blob): Promise<ApiResult<KeptPicture>> => {
  try {
    const response = await fetch('/api/pictures', {
      method: 'POST',
      signal: AbortSignal.timeout(LONGEST_PICTURE),
      headers: { 'content-type': file.type || 'image/*' },
      body: file,
    });
    const data = await response.json();
    if (response.status === 401) locked();
    return response.ok ? { ok: true, value: data } : { ok: false, error: data.error ?? { code: 'internal' } };
  } catch {
    return { ok: false, error: { code: 'offline' } };
  }
};

/** Sends a save on behalf of a page that is gone by the time it arrives; what is too long for that is not sent. */
const sendLast = (
  id: string,
  basedOn: number,
  work: { readonly document: SetDocument } | { readonly edits: SentEdits },
  most: number,
): void => {
  const body = JSON.stringify({ basedOn, ...work });
  if (body.length > most) return;
  const [method, path] = 'edits' in work ? ['POST', editsPath(id)] : ['PUT', setPath(id)];
  void fetch(`/api${path}`, { method, keepalive: true, headers: { 'content-type': 'application/json' }, body }).catch(() => undefined);
};

const sendCopy = async (file: Blob): Promise<ApiResult<Restored>> => {
  try {
    const response = await fetch('/api/shelf/copy', { method: 'POST', headers: { 'content-type': 'application/gzip' }, body: file });
    const data = await response.json();
    if (response.status === 401) locked();
    return response.ok ? { ok: true, value: data } : { ok: false, error: data.error ?? { code: 'internal' } };
  } catch {
    return { ok: false, error: { code: 'offline' } };
  }
};

const setPath = (id: string): string => `/sets/${encodeURIComponent(id)}`;
const editsPath = (id: string): string => `${setPath(id)}/edits`;

export const api = {
  list: () => request<{ sets: readonly SetSummary[] }>('GET', '/sets'),
  listAway: () => request<{ sets: readonly AwaySummary[] }>('GET', '/away'),
  read: (id: string) => request<StoredSet>('GET', setPath(id)),
  create: (document: unknown, words: 'begun' | 'brought in' | 'a copy') => request<StoredSet>('POST', '/sets', { document, words }),
  save: (id: string, basedOn: number, document: SetDocument) => request<{ revision: number }>('PUT', setPath(id), { basedOn, document }),
  saveEdits: (id: string, basedOn: number, edits: SentEdits) => request<{ revision: number }>('POST', editsPath(id), { basedOn, edits }),
  remove: (id: string) => request<{ id: string }>('DELETE', setPath(id)),
  restore: (id: string) => request<{ id: string }>('POST', `${setPath(id)}/restore`),
  revisions: (id: string) => request<{ revisions: readonly RevisionSummary[] }>('GET', `${setPath(id)}/revisions`),
  revision: (id: string, revision: number) =>
    request<{ revision: number; document: SetDocument }>('GET', `${setPath(id)}/revisions/${revision}`),
  presets: () => request<{ presets: readonly OwnPreset[] }>('GET', '/presets'),
  keepPreset: (piece: Piece) => request<{ id: string }>('POST', '/presets', { piece }),
  forgetPreset: (id: string) => request<{ id: string }>('DELETE', `/presets/${encodeURIComponent(id)}`),
  sendPicture,
  sendLast,
  shelf: () => request<ShelfState>('GET', '/shelf'),
  dropNotice: (id: string) => request<{ notices: readonly Notice[] }>('DELETE', `/shelf/notices/${encodeURIComponent(id)}`),
  sendCopy,
  sessions: () => request<{ sessions: readonly SessionSummary[] }>('GET', '/sessions'),
  endSessions: () => request<{ ended: boolean }>('DELETE', '/sessions'),
  door: () => request<{ needed: boolean; inside: boolean }>('GET', '/door'),
  knock: (phrase: string) => request<{ inside: boolean }>('POST', '/door', { phrase }),
  leave: () => request<{ inside: boolean }>('DELETE', '/door'),
};
