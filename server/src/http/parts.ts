import type { DocumentReader, PictureReader } from '../reading/index.ts';
import type { Store } from '../store/index.ts';
import type { Proxies } from './address.ts';
import type { Door } from './door.ts';
import type { Log } from './log.ts';
import type { ShelfDesk } from './shelf.ts';

/** What the application is made with. `door` is null where everybody who can reach it may go in. */
export type AppParts = {
  readonly store: Store;
  readonly desk: ShelfDesk;
  readonly documents: DocumentReader;
  readonly pictures: PictureReader;
  readonly webRoot: string;
  readonly log: Log;
  readonly door: Door | null;
  readonly answersTo: (host: string) => boolean;
  readonly proxies: Proxies;
  readonly clock: () => Date;
};
