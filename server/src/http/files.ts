import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import { send } from '@koa/send';
import type { Context, Middleware } from 'koa';

const YEAR = 365 * 24 * 60 * 60 * 1000;

/** The start page is never stored: a browser that keeps whole pages, workers and all, for the way back may freeze the page that it goes to. */
const startPage = async (context: Context, root: string): Promise<void> => {
  await send(context, 'index.html', { root, setHeaders: (response) => response.setHeader('Cache-Control', 'no-store') });
};

/** Serves the built web application. Files with a hash in their name may be kept for ever; every other address is a view, and gets
 *  the start page. */
export const files =
  (root: string): Middleware =>
  async (context, next) => {
    if (context.method !== 'GET' && context.method !== 'HEAD') return next();
    const isFile = extname(context.path) !== '' && existsSync(join(root, context.path));
    if (!isFile && extname(context.path) !== '') return next();
    const hashed = context.path.startsWith('/assets/');
    if (!isFile) return startPage(context, root);
    await send(context, context.path, { root, ...(hashed ? { maxAge: YEAR, immutable: true } : { maxAge: 0 }) });
  };
