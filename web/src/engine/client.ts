import type { Order } from '@parlor/core/assembly';
import type { BoardJob, BoardLayout } from '@parlor/core/cut';
import type { OpeningForm, Room, WallOpening, WhichWall } from '@parlor/core/piece';
import type { MachineBed } from '@parlor/core/plot';
import type { Habit } from '@parlor/core/print';
import type {
  DerivedCovering,
  DerivedPiece,
  DerivedSet,
  Edit,
  Finding,
  GoodPaper,
  Instead,
  PagesWanted,
  Piece,
  RuleFit,
  SetDocument,
  StickKindJob,
  Suited,
} from '@parlor/core/set';
import type { PaperName } from '@parlor/core/stock';
import { proxy, type Remote, wrap } from 'comlink';
import type { CutReply, CutWork } from './cutWorker.ts';
import { type DocumentRef, documentLog, type Holder } from './documents.ts';
import type { DeriveReply, EngineWork, JobsReply } from './engineWorker.ts';
import type { FoundLayout } from './foundLayouts.ts';
import { type KeptPiece, keepPiece, keptPiece } from './keptPieces.ts';
import type { NeedsReply, PagesReply, PagesWork, PlotFormat, PlotReply, TrialReply } from './pagesWorker.ts';
import type { PagePictureWorker } from './pictureWorker.ts';

/** Why work in a worker came to no end: the maker stopped it, or it took longer than anybody waits. */
export class StoppedSearch extends Error {}

let tooLong = (): void => undefined;

/** Names what is done when work was stopped because it took too long. */
export const whenTooLong = (act: () => void): void => {
  tooLong = act;
};

/** Nobody waits longer for one piece of work; whatever needs more was made to. */
const MOST_SECONDS = 180;

const log = documentLog();

/** Hears of every edit of the open document, so that workers are told that instead of the document. */
export const followEdit = (before: SetDocument, edit: Edit, after: SetDocument): void => log.follow(before, edit, after);

type Bench<W> = {
  readonly worker: Worker;
  readonly hand: Remote<W>;
  readonly holder: Holder;
  readonly stop: (problem: StoppedSearch) => void;
  readonly stopped: Promise<never>;
};

const setUp = <W>(start: () => Worker): Bench<W> => {
  const worker = start();
  let stop: Bench<W>['stop'] = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    stop = reject;
  });
  // Nobody may be waiting when it is stopped.
  stopped.catch(() => undefined);
  return { worker, hand: wrap<W>(worker), holder: { at: null }, stop, stopped };
};

/** A worker that can be stopped in the middle of its work. It is started when it is first needed, or at once, so that it is ready when the first
 *  set has come; `begin` is done first of all. `tell` says how it comes to a document. */
const hire = <W>(
  start: () => Worker,
  when: 'now' | 'when needed',
  seconds = MOST_SECONDS,
  begin: (hand: Remote<W>) => void = () => undefined,
) => {
  const begun = (): Bench<W> => {
    const made = setUp<W>(start);
    begin(made.hand);
    return made;
  };
  let bench: Bench<W> | null = when === 'now' ? begun() : null;
  const stop = (): void => {
    bench?.worker.terminate();
    bench?.stop(new StoppedSearch());
    bench = null;
  };
  return {
    ask: <T>(work: (hand: Remote<W>, tell: (document: SetDocument) => DocumentRef) => Promise<T>): Promise<T> => {
      bench ??= begun();
      const { hand, holder, stopped } = bench;
      const timer = setTimeout(() => {
        stop();
        tooLong();
      }, seconds * 1000);
      return Promise.race([work(hand, (document) => log.tell(holder, document)), stopped]).finally(() => clearTimeout(timer));
    },
    stop,
  };
};

/** One after the other, so that time is counted against whoever takes it. */
const inTurn = <A, T>(ask: (about: A) => Promise<T>): ((about: A) => Promise<T>) => {
  let turn: Promise<unknown> = Promise.resolve();
  return (about) => {
    const answer = turn.then(() => ask(about));
    turn = answer.catch(() => undefined);
    return answer;
  };
};

/** Of what is asked for while an answer is worked out only the last is worked out next; who asked before that has gone on, and hears that it was
 *  stopped. */
const newestOnly = <A, T>(ask: (about: A) => Promise<T>): ((about: A) => Promise<T>) => {
  let newest: A | undefined;
  let turn: Promise<unknown> = Promise.resolve();
  return (about) => {
    newest = about;
    const answer = turn.then(() => (newest === about ? ask(about) : Promise.reject(new StoppedSearch())));
    turn = answer.catch(() => undefined);
    return answer;
  };
};

/** Who opens the shelf wants to see what stands there, who opens a set what is in it: that worker is ready first. */
const beginsAtShelf = /^\/(sets\/?)?$/.test(globalThis.location?.pathname ?? '');

const startEngine = (): Worker => new Worker(new URL('./engineWorker.ts', import.meta.url), { type: 'module' });
const startCutter = (): Worker => new Worker(new URL('./cutWorker.ts', import.meta.url), { type: 'module' });
/** Which program searches; the build says so (`vite.config.ts`). */
declare const CUT_PROGRAM: string;
/** Which program works pieces out. */
declare const CORE_PROGRAM: string;

/** Fetched when something is laid out. */
const foundBefore = () => import('./foundLayouts.ts');
const startPages = (): Worker => new Worker(new URL('./pagesWorker.ts', import.meta.url), { type: 'module' });

/** So many layouts that were searched for are remembered here; all are in the browser. */
const MOST_FOUND = 60;
let found: readonly FoundLayout[] = [];

/** The boards that whoever lays out was told of last, by key. */
let toldBoards: ReadonlySet<string> = new Set();

/** Works out the set that lies open. */
const engine = hire<EngineWork>(startEngine, beginsAtShelf ? 'when needed' : 'now');
/** A picture on the shelf is not worth a longer wait, and one that takes it keeps the others from nothing. */
const LOOK_SECONDS = 20;
const shelfRoom = hire<EngineWork>(startEngine, beginsAtShelf ? 'now' : 'when needed', LOOK_SECONDS);
/** Boards of a large set take most of a second, and better layouts seconds: a worker of their own keeps that from the drawing board. */
const cutter = hire<CutWork>(startCutter, 'when needed', MOST_SECONDS, (hand) => {
  toldBoards = new Set();
  void hand.recall(found);
});
/** So do pages and their PDF. */
const press = hire<PagesWork>(startPages, 'when needed');

/** Puts things whose keys alone were sent back in their places. */
const restored = <T extends { readonly key: string }>(
  reply: readonly (T | { readonly key: string })[],
  isWhole: (item: T | { readonly key: string }) => item is T,
  known: Map<string, T>,
): readonly T[] => {
  const whole = reply.map((item) => (isWhole(item) ? item : (known.get(item.key) as T)));
  known.clear();
  for (const item of whole) known.set(item.key, item);
  return whole;
};

const pieces = new Map<string, DerivedPiece>();

/** A piece that was kept from before and is shown; where it is still the same, it is not told again. */
let remembered: DerivedPiece | null = null;

/** Nobody waits longer for what can be worked out as well. */
const MOST_MS = 300;
const soonNull = (): Promise<null> => new Promise((go) => setTimeout(go, MOST_MS, null));

/** The piece of a set that was looked at last, as it was worked out for a save. */
export const rememberedPiece = async (setId: string, pieceId: string, revision: number): Promise<KeptPiece | null> => {
  const kept = await Promise.race([keptPiece(CORE_PROGRAM, setId, pieceId), soonNull()]);
  if (kept?.revision !== revision) return null;
  remembered = kept.piece;
  return kept;
};

/** Keeps a piece for when its set is opened again. */
export const rememberPiece = (setId: string, kept: KeptPiece): Promise<void> => keepPiece(CORE_PROGRAM, setId, kept);

/** Derives in the worker; unchanged pieces come back as the very same objects. A piece that is looked at and new is told first. Calls must not
 *  overlap. */
export const deriveThere = async (
  document: SetDocument,
  first: string | null,
  onFirst: (piece: DerivedPiece, scale: DerivedSet['scale']) => void,
): Promise<DerivedSet> => {
  let came = (): void => undefined;
  const firstCame = new Promise<void>((told) => {
    came = told;
  });
  const tellFirst = (piece: DerivedPiece, scale: DerivedSet['scale']): void => {
    pieces.set(piece.key, piece);
    onFirst(piece, scale);
    came();
  };
  const has = remembered?.key ?? null;
  if (remembered) pieces.set(remembered.key, remembered);
  remembered = null;
  const reply: DeriveReply = await engine.ask((hand, tell) => hand.derive(tell(document), first, has, proxy(tellFirst)));
  // It comes by a way of its own, which may be the longer one.
  if (reply.pieces.some((piece) => !('id' in piece) && !pieces.has(piece.key))) await firstCame;
  const isPiece = (item: DerivedPiece | { readonly key: string }): item is DerivedPiece => 'id' in item;
  return { scale: reply.scale, pieces: restored(reply.pieces, isPiece, pieces) };
};

/** What is noticed about how the rooms of a set are arranged. */
export const roomNotesThere = (document: SetDocument): Promise<readonly Finding[]> =>
  engine.ask((hand, tell) => hand.roomNotes(tell(document)));

/** What is to be cut of a set: all jobs, whole. */
export type CutJobs = { readonly boards: readonly BoardJob[]; readonly sticks: readonly StickKindJob[] };

const jobs = new Map<string, BoardJob>();

/** What is to be cut of the set. Calls must not overlap. */
export const jobsThere = async (document: SetDocument): Promise<CutJobs> => {
  const reply: JobsReply = await engine.ask((hand, tell) => hand.jobs(tell(document)));
  const isJob = (item: BoardJob | { readonly key: string }): item is BoardJob => 'items' in item;
  return { boards: restored(reply.boards, isJob, jobs), sticks: reply.sticks };
};

/** First layouts of boards and sticks; of what was searched before, the best that was found. Rejects with Stopped when it was stopped. */
export const layOutThere = async ({ boards, sticks }: CutJobs): Promise<CutReply> => {
  const keys = [...boards, ...sticks].map(({ key }) => key);
  const { keptLayouts } = await foundBefore();
  const more = await keptLayouts(
    CUT_PROGRAM,
    keys.filter((key) => !found.some((each) => each.key === key)),
  );
  return cutter.ask((hand) => {
    if (more.length > 0) {
      found = [...found, ...more];
      void hand.recall(more);
    }
    const told = boards.map((job) => (toldBoards.has(job.key) ? { key: job.key } : job));
    toldBoards = new Set(boards.map(({ key }) => key));
    return hand.layOut(told, sticks);
  });
};

/** Searches for better layouts than the first answers of what was laid out last. What is found is kept in the browser. */
export const searchThere = async (onBetter: (layout: BoardLayout) => void): Promise<CutReply> => {
  const reply = await cutter.ask((hand) => hand.search(proxy(onBetter)));
  const fresh = [...reply.layouts, ...reply.sticks.map(({ key, layout }) => ({ key, layout }))].filter(
    ({ key }) => !found.some((each) => each.key === key),
  );
  found = [...fresh, ...found].slice(0, MOST_FOUND);
  void foundBefore().then(({ keepLayouts }) => keepLayouts(CUT_PROGRAM, fresh));
  return reply;
};

/** What is noticed about boards as they are laid out. */
export const cuttingNotesThere = (document: SetDocument, layouts: readonly BoardLayout[]): Promise<readonly Finding[]> =>
  engine.ask((hand, tell) => hand.cuttingNotes(tell(document), layouts));

/** What is noticed about coverings; null when the set was changed meanwhile. */
export const coverNotesThere = (document: SetDocument): Promise<readonly Finding[] | null> =>
  engine.ask((hand, tell) => hand.coverNotes(tell(document)));

/** Stops laying out and searching. */
export const stopCutting = cutter.stop;

/** Stops deriving; what follows stays as it was. */
export const stopDeriving = engine.stop;

/** A set that does not lie open, for its picture. */
export const lookThere = inTurn((document: SetDocument): Promise<DerivedSet> => shelfRoom.ask((hand) => hand.look(document)));

/** A piece as it is best begun in a set; asked of whoever derives, for the shelf's room may be drawing a whole library. */
export const suitThere = (document: SetDocument, piece: Piece): Promise<Suited> =>
  engine.ask((hand, tell) => hand.suit(tell(document), piece));

/** An opening as it begins in a wall of a room, where it fits. */
export const openingThere = (document: SetDocument, room: Room, which: WhichWall, form: OpeningForm): Promise<WallOpening> =>
  engine.ask((hand, tell) => hand.opening(tell(document), room, which, form));

/** The nearest that stands to a piece that cannot be built. */
export const insteadThere = (document: SetDocument, pieceId: string): Promise<Instead | null> =>
  engine.ask((hand, tell) => hand.instead(tell(document), pieceId));

/** The order of assembly of a derived piece, by its key. */
export const orderThere = (key: string): Promise<Order | null> => engine.ask((hand) => hand.order(key));

/** What covers a piece; null when it cannot be built. */
export const coverThere = (document: SetDocument, pieceId: string): Promise<DerivedCovering | null> =>
  engine.ask((hand, tell) => hand.cover(tell(document), pieceId));

/** What all coverings need; pages are counted for that, so it is asked of those who make them. */
export const needsThere = newestOnly((document: SetDocument): Promise<NeedsReply> => press.ask((hand, tell) => hand.needs(tell(document))));

/** The paper that a small good takes; pages are counted for that too. */
export const goodPaperThere = newestOnly(
  ({ document, pieceId }: { readonly document: SetDocument; readonly pieceId: string }): Promise<readonly GoodPaper[]> =>
    press.ask((hand, tell) => hand.goodPaper(tell(document), pieceId)),
);

/** The smallest change of a piece's driving sizes that puts its cuts on the rule. */
export const fitRuleThere = (document: SetDocument, pieceId: string, grid: number): Promise<RuleFit> =>
  press.ask((hand, tell) => hand.fitRule(tell(document), pieceId, grid));

export const boardsThere = (document: SetDocument, layouts: readonly BoardLayout[], format: 'svg' | 'dxf'): Promise<string> =>
  press.ask((hand, tell) => hand.boards(tell(document), layouts, format));

/** The boards on paper, as a PDF. */
export const boardPagesThere = (document: SetDocument, layouts: readonly BoardLayout[]): Promise<Uint8Array<ArrayBuffer>> =>
  press.ask((hand, tell) => hand.boardPages(tell(document), layouts));

type Asked = { readonly made: number; readonly document: SetDocument; readonly wanted: PagesWanted };
/** The pages that were asked for last: who was stopped has forgotten them, and makes them up again. */
let asked: Asked | undefined;

const makeUpThere = newestOnly(
  ({ made, document, wanted }: Asked): Promise<PagesReply> => press.ask((hand, tell) => hand.pages(made, tell(document), wanted)),
);

/** Makes up pages; they stay with whoever made them, to be written page by page. */
export const pagesThere = (document: SetDocument, wanted: PagesWanted): Promise<PagesReply> => {
  const made = (asked?.made ?? 0) + 1;
  asked = { made, document, wanted };
  return makeUpThere(asked);
};

let remaking: Promise<unknown> | undefined;

/** Does something with the pages that were made up under a number; null when others were asked for since. */
const withPages = <T>(made: number, work: (hand: Remote<PagesWork>) => Promise<T | null>): Promise<T | null> =>
  press.ask(async (hand, tell) => {
    const done = await work(hand);
    if (done !== null || asked?.made !== made) return done;
    remaking ??= hand.pages(made, tell(asked.document), asked.wanted).finally(() => {
      remaking = undefined;
    });
    await remaking;
    return work(hand);
  });

/** How pages are handed out: as one PDF, or as a zip with an SVG for each. */
export type PageFormat = 'pdf' | 'svgs';

/** Writes chosen pages, saying how far it has come; null when others were asked for since. */
export const writtenThere = (
  made: number,
  which: readonly number[],
  format: PageFormat,
  onPage: (written: number, count: number) => void = () => undefined,
): Promise<Uint8Array<ArrayBuffer> | null> => withPages(made, (hand) => hand[format](made, which, proxy(onPage)));

/** Files for a cutting machine with such a bed. */
export const plotThere = (
  document: SetDocument,
  wanted: PagesWanted,
  bed: MachineBed,
  format: PlotFormat,
  copies: boolean,
): Promise<PlotReply> => press.ask((hand, tell) => hand.plot(tell(document), wanted, bed, format, copies));

/** What such a machine makes of a file. */
export const triedThere = (text: string, format: PlotFormat, bed: Pick<MachineBed, 'width' | 'height'>): Promise<TrialReply> =>
  press.ask<TrialReply>((hand) => hand.tryPlot(text, format, bed));

export const zipThere = (files: readonly { readonly name: string; readonly text: string }[]): Promise<Uint8Array<ArrayBuffer>> =>
  press.ask((hand) => hand.zip(files));

/** One page as its PDF, to be looked at; null when others were asked for since. */
export const onScreenThere = (made: number, index: number): Promise<Uint8Array<ArrayBuffer> | null> =>
  withPages(made, (hand) => hand.onScreen(made, index));

export const testPageThere = (printing: SetDocument['printing'], corrected: boolean): Promise<Uint8Array<ArrayBuffer>> =>
  press.ask((hand) => hand.testPage(printing, corrected));

export const stopPress = (): void => {
  remaking = undefined;
  press.stop();
};

let pagePictures: Remote<PagePictureWorker> | undefined;

const readyLens = (): Remote<PagePictureWorker> => {
  pagePictures ??= wrap<PagePictureWorker>(new Worker(new URL('./pictureWorker.ts', import.meta.url), { type: 'module' }));
  return pagePictures;
};

/** Gets ready to show pages while they are still made up. */
export const readyToPrint = (): void => {
  readyLens();
  void press.ask((hand) => hand.ready()).catch(() => undefined);
};

/** A page of a PDF as a picture so many pixels wide, painted off the page's thread; through a printer with a habit, where one is given. */
export const pictureThere = (
  bytes: Uint8Array<ArrayBuffer>,
  width: number,
  through: { readonly paper: PaperName; readonly habit: Habit } | null = null,
): Promise<ImageBitmap> => {
  return readyLens().picture(bytes, 1, width, through);
};
