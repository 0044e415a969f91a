import { join } from 'node:path';

/** Where the application's own files are, seen from the project's root. */
export type Places = {
  readonly web: string;
  readonly migrations: string;
  readonly prepared: string;
  readonly demo: string;
  /** The programs that run beside it: those who read pictures and documents, and one that tries a database. */
  readonly pictureReader: string;
  readonly documentReader: string;
  readonly probe: string;
};

export const placesIn = (root: string): Places => ({
  web: join(root, 'web/dist'),
  migrations: join(root, 'server/migrations'),
  prepared: join(root, 'server/dist/prepared'),
  demo: join(root, 'demo'),
  pictureReader: join(root, 'server/dist/pictureMain.js'),
  documentReader: join(root, 'server/dist/readerMain.js'),
  probe: join(root, 'server/dist/probeMain.js'),
});
