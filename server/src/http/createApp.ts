import { bodyParser } from '@koa/bodyparser';
import Koa from 'koa';
import helmet from 'koa-helmet';
import type { Database } from '../store/index.ts';
import { answerFailure, catchFailures } from './failure.ts';
import { files } from './files.ts';
import { routes } from './routes.ts';

const SELF = ["'self'"];

/** Nothing comes from elsewhere; WebAssembly may run, and the 3D view's and dialogs' inline styles are allowed. Plain HTTP on the own
 *  machine must stay plain HTTP. */
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

/** The application: headers, failures, the interface under /api, and the built files of the web. */
export const createApp = (database: Database, webRoot: string, log: (line: string) => void): Koa => {
  const app = new Koa();
  app.silent = true;
  app.use(headers());
  app.use(catchFailures(log));
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '4mb' }));
  app.use(routes(database).routes());
  app.use(files(webRoot));
  app.use((context) => answerFailure(context, { code: 'not-found' }));
  return app;
};
