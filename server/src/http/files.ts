import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import { send } from '@koa/send';
import type { Middleware } from 'koa';

const YEAR = 365 * 24 * 60 * 60 * 1000;

/** Serves the built web application. Files with a hash in their name may be kept for ever; every other address is a view, and gets
 *  the start page. */
export const files =
  (root: string): Middleware =>
  async (context, next) => {
    if (context.method !== 'GET' && context.method !== 'HEAD') return next();
    const isFile = extname(context.path) !== '' && existsSync(join(root, context.path));
    if (!isFile && extname(context.path) !== '') return next();
    const hashed = context.path.startsWith('/assets/');
    await send(context, isFile ? context.path : 'index.html', { root, ...(hashed ? { maxAge: YEAR, immutable: true } : { maxAge: 0 }) });
  };
