import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import helmet from 'koa-helmet';
import type { Store } from '../store/index.ts';
import { type Door, doorkeeper, doorRoutes } from './door.ts';
import { answerFailure, catchFailures, logRequests } from './failure.ts';
import { files } from './files.ts';
import { guard } from './guard.ts';
import type { Log } from './log.ts';
import { routes } from './routes.ts';

const SELF = ["'self'"];

/** Nothing comes from elsewhere, no script stands in a page; WebAssembly may run, and the 3D view's and dialogs' inline styles are allowed.
 *  Plain HTTP on the own machine must stay plain HTTP. */
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

/** What the application is made with. `door` is null where everybody who can reach it may go in. */
export type AppParts = {
  readonly store: Store;
  readonly webRoot: string;
  readonly log: Log;
  readonly door: Door | null;
  readonly answersTo: (host: string) => boolean;
  readonly clock: () => Date;
};

/** The application: headers, failures, who may ask, the interface under /api, and the built files of the web. */
export const createApp = ({ store, webRoot, log, door, answersTo, clock }: AppParts): Koa => {
  const app = new Koa();
  app.silent = true;
  app.use(headers());
  app.use(logRequests(log, () => clock().getTime()));
  app.use(catchFailures(log));
  app.use(guard(answersTo));
  app.use(doorkeeper(door));
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '4mb', encoding: 'utf-8' }));
  app.use(doorRoutes(door).routes());
  app.use(routes(store, clock).routes());
  app.use(files(webRoot));
  app.use((context) => answerFailure(context, { code: 'not-found' }));
  return app;
};
