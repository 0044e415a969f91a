// Who may ask. A page from elsewhere must neither read (DNS rebinding) nor change anything (cross-site posts).
import { isIP } from 'node:net';
import type { Middleware } from 'koa';
import { answerFailure } from './failure.ts';
import { isInterface, isSpelled } from './files.ts';

/** The name in a Host header or an origin, without port and brackets, in lower case; null when it is neither. */
const nameOf = (host: string): string | null => {
  try {
    return new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '').toLowerCase();
  } catch {
    return null;
  }
};

const LOCAL = ['localhost', '127.0.0.1', '::1'];

/** Which names the application answers to. A name that an attacker's DNS points here is none of ours; a bare address cannot be pointed
 *  anywhere, so on a network any address will do. */
export const namesOf = (names: readonly string[], onNetwork: boolean): ((host: string) => boolean) => {
  const known = new Set([...LOCAL, ...names.map((name) => name.toLowerCase())]);
  return (host) => {
    const name = nameOf(host);
    return name !== null && (known.has(name) || (onNetwork && isIP(name) !== 0));
  };
};

const changes = (method: string): boolean => method !== 'GET' && method !== 'HEAD';

/** An Origin of this very application, or none at all where the browser does not speak of another site. */
const isOwn = (origin: string, host: string, site: string): boolean => {
  if (origin === '') return site === '' || site === 'same-origin' || site === 'none';
  try {
    return new URL(origin).host === host.toLowerCase();
  } catch {
    return false;
  }
};

/** What comes as it is, and of which kind: no form of another site can send these unasked. */
const BARE: Readonly<Record<string, string>> = { '/api/pictures': 'image/*', '/api/shelf/copy': 'application/gzip' };

/** A request with two hosts is read by one program as for the one and by another as for the other. */
const hasOneHost = (raw: readonly string[]): boolean =>
  raw.filter((name, index) => index % 2 === 0 && name.toLowerCase() === 'host').length === 1;

/** Refuses foreign hosts always, foreign origins wherever something would change, bodies that are not plain JSON (or what is taken as it is), and
 *  addresses of the interface that are spelled another way than theirs. */
export const guard =
  (answersTo: (host: string) => boolean): Middleware =>
  async (context, next) => {
    if (!hasOneHost(context.req.rawHeaders) || !answersTo(context.get('host'))) return answerFailure(context, { code: 'foreign-host' });
    if (isInterface(context.path)) {
      // What is answered there is nobody else's, and is not kept by whoever passes it on.
      context.set('Cache-Control', 'no-store');
      if (!isSpelled(context.path)) return answerFailure(context, { code: 'not-found' });
    }
    if (!changes(context.method)) return next();
    if (!isOwn(context.get('origin'), context.get('host'), context.get('sec-fetch-site'))) {
      return answerFailure(context, { code: 'foreign-origin' });
    }
    const hasBody = context.get('transfer-encoding') !== '' || Number(context.get('content-length') || 0) > 0;
    // Our pages send nothing packed; whoever does may mean a body that unpacks without end.
    const packed = !['', 'identity'].includes(context.get('content-encoding'));
    const plain = context.is(BARE[context.path] ?? 'application/json');
    if (packed || (hasBody && !plain)) return answerFailure(context, { code: 'not-json' });
    return next();
  };
