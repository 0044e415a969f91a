import { randomBytes } from 'node:crypto';
import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import helmet from 'koa-helmet';
import { doorkeeper, doorRoutes, type House } from './door.ts';
import { answerFailure, catchFailures, logRequests } from './failure.ts';
import { files } from './files.ts';
import { guard } from './guard.ts';
import type { AppParts } from './parts.ts';
import { routes } from './routes.ts';

const SELF = ["'self'"];

type Signed = { readonly nonce?: string };

/** Nothing comes from elsewhere, no script stands in a page; WebAssembly may run. A style that stands in a page must carry the sign of that very
 *  answer, as those of the library for dialogs do. Plain HTTP on the own machine must stay plain HTTP. */
const headers = () =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: SELF,
        scriptSrc: [...SELF, "'wasm-unsafe-eval'"],
        styleSrc: [...SELF, (request) => `'nonce-${(request as Signed).nonce}'`],
        imgSrc: [...SELF, 'data:', 'blob:'],
        fontSrc: SELF,
        connectSrc: SELF,
        workerSrc: [...SELF, 'blob:'],
        objectSrc: ["'none'"],
        baseUri: SELF,
        formAction: SELF,
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: false,
  });

/** A set of four megabytes, and what is around it in a request. */
const MOST_BODY = '4200kb';
const json = (jsonLimit: string) => bodyParser({ enableTypes: ['json'], jsonLimit, encoding: 'utf-8' });

/** The application, in the order in which a request goes through it: headers, failures, who may ask; then what is for everybody, which is the
 *  built files of the web and the door itself; then the doorkeeper; and only behind that everything else. */
export const createApp = (parts: AppParts): Koa => {
  const { store, webRoot, log, door, answersTo, proxies, clock } = parts;
  const house: House = { store, log, proxies };
  const app = new Koa();
  app.silent = true;
  app.use((context, next) => {
    const nonce = randomBytes(16).toString('base64url');
    context.state['nonce'] = nonce;
    Object.assign(context.req, { nonce } satisfies Signed);
    return next();
  });
  app.use(headers());
  app.use(logRequests(log, () => clock().getTime()));
  app.use(catchFailures(log));
  app.use(guard(answersTo));
  app.use(files(webRoot));
  const open = doorRoutes(door, house);
  // A knock is short; nobody outside has four megabytes read.
  app.use((context, next) => (context.path === '/api/door' ? json('8kb')(context, next) : next()));
  app.use(open.routes());
  app.use(doorkeeper(door, house));
  app.use((context, next) => (context.path === '/api/door' ? next() : json(MOST_BODY)(context, next)));
  app.use(routes(parts, house).routes());
  app.use((context) => answerFailure(context, { code: 'not-found' }));
  return app;
};
