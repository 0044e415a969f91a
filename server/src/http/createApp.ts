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

/** Nothing comes from elsewhere, no script stands in a page; WebAssembly may run. No style stands in a page's text either, but for attributes and
 *  rules that libraries for dialogs and for the 3D view write as they go. Plain HTTP on the own machine must stay plain HTTP. */
const headers = () =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: SELF,
        scriptSrc: [...SELF, "'wasm-unsafe-eval'"],
        styleSrc: [...SELF, "'unsafe-inline'"],
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
