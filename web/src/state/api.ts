import type { SetDocument } from '@parlor/core/set';

/** What the server says of a set on the shelf. */
export type SetSummary = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly revision: number;
  readonly updatedAt: string;
};

export type StoredSet = { readonly id: string; readonly revision: number; readonly document: SetDocument };

/** Why a request came to nothing: the server could not be reached, or it refused, and how. */
export type ApiError = {
  readonly code: string;
  readonly revision?: number;
  readonly issues?: readonly { path: string; message: string }[];
};

export type ApiResult<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly error: ApiError };

const request = async <T>(method: string, path: string, body?: unknown): Promise<ApiResult<T>> => {
  try {
    const response = await fetch(`/api${path}`, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    const data = await response.json();
    return response.ok ? { ok: true, value: data } : { ok: false, error: data.error ?? { code: 'internal' } };
  } catch {
    return { ok: false, error: { code: 'offline' } };
  }
};

export const api = {
  list: () => request<{ sets: readonly SetSummary[] }>('GET', '/sets'),
  read: (id: string) => request<StoredSet>('GET', `/sets/${encodeURIComponent(id)}`),
  create: (document: unknown) => request<StoredSet>('POST', '/sets', { document }),
  save: (id: string, basedOn: number, document: SetDocument) =>
    request<{ revision: number }>('PUT', `/sets/${encodeURIComponent(id)}`, { basedOn, document }),
  remove: (id: string) => request<{ id: string }>('DELETE', `/sets/${encodeURIComponent(id)}`),
  restore: (id: string) => request<{ id: string }>('POST', `/sets/${encodeURIComponent(id)}/restore`),
};
