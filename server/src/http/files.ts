import { readdirSync, readFileSync } from 'node:fs';
import { extname, join, posix } from 'node:path';
import { send } from '@koa/send';
import type { Context, Middleware } from 'koa';

const YEAR = 365 * 24 * 60 * 60;

/** Every file below a directory, as its address; what is not among them is not there, wherever a path may lead. */
const addressesIn = (root: string, before = ''): readonly string[] =>
  readdirSync(join(root, before), { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? addressesIn(root, `${before}/${entry.name}`) : [`${before}/${entry.name}`],
  );

/** Stands in the start page where each answer has a sign of its own, by which the page's own styles are told from anybody else's. */
const NONCE = '__NONCE__';

/** The start page is never stored: a browser that keeps whole pages, workers and all, for the way back may freeze the page that it goes to. */
const startPage = (context: Context, page: string): void => {
  context.set('Cache-Control', 'no-store');
  context.type = 'text/html; charset=utf-8';
  context.body = page.replaceAll(NONCE, String(context.state['nonce'] ?? ''));
};

/** Files with a hash in their name never change: each is read once, and answered from memory, for a view asks for dozens at a time. */
const assets = (root: string) => {
  const known = new Map<string, Buffer>();
  return (context: Context, path: string): void => {
    const file = known.get(path) ?? readFileSync(join(root, path));
    known.set(path, file);
    context.set('Cache-Control', `max-age=${YEAR}, immutable`);
    context.type = extname(path);
    context.body = file;
  };
};

/** Serves the built web application, which is for everybody. Files with a hash in their name may be kept for ever; every other address without a
 *  dot is a view, and gets the start page. What is spelled in the least like an address of the interface is none of these. */
export const files = (root: string): Middleware => {
  const known = new Set(addressesIn(root).filter((address) => address !== '/index.html'));
  const page = readFileSync(join(root, 'index.html'), 'utf8');
  const asset = assets(root);
  return async (context, next) => {
    if (context.method !== 'GET' && context.method !== 'HEAD') return next();
    if (known.has(context.path)) {
      if (context.path.startsWith('/assets/')) return asset(context, context.path);
      return void (await send(context, context.path, { root, maxAge: 0 }));
    }
    const isView = context.path === '/index.html' || extname(context.path) === '';
    return isInterface(context.path) || !isView ? next() : startPage(context, page);
  };
};

const decoded = (path: string): string => {
  try {
    return decodeURIComponent(path);
  } catch {
    return path;
  }
};

/** Whether an address is one of the interface's, however it is spelled: packed, doubled, roundabout, in large letters. */
export const isInterface = (path: string): boolean => {
  // Twice, for what was packed twice.
  const read = posix.normalize(decoded(decoded(path)).replace(/\\/g, '/')).toLowerCase();
  const [first = ''] = read.split('/').filter((part) => part !== '' && part !== '.' && part !== '..');
  return first.replace(/[^\w]/g, '') === 'api' || /^api[^\w]/.test(first);
};

/** The one spelling that an address of the interface has. */
export const isSpelled = (path: string): boolean => /^\/api(\/[\w-]+)+$/.test(path);
