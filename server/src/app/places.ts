import { join } from 'node:path';

/** Where the application's own files are, seen from the project's root. */
export type Places = { readonly web: string; readonly migrations: string; readonly prepared: string; readonly demo: string };

export const placesIn = (root: string): Places => ({
  web: join(root, 'web/dist'),
  migrations: join(root, 'server/migrations'),
  prepared: join(root, 'server/dist/prepared'),
  demo: join(root, 'demo'),
});
