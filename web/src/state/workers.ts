import type { Order } from '@parlor/core/assembly';
import type { OpeningForm, Room, WallOpening, WhichWall } from '@parlor/core/piece';
import type { MachineBed } from '@parlor/core/plot';
import type { Habit } from '@parlor/core/print';
import type {
  BoardLayout,
  DerivedCovering,
  DerivedPiece,
  DerivedSet,
  Finding,
  GoodPaper,
  Instead,
  PagesWanted,
  Piece,
  RuleFit,
  SetDocument,
  StickPlan,
  Suited,
} from '@parlor/core/set';
import type { PaperName } from '@parlor/core/stock';
import { proxy, type Remote, wrap } from 'comlink';
import type {
  DeriveReply,
  LayoutReply,
  NeedsReply,
  PagesReply,
  PlotFormat,
  PlotReply,
  SearchReply,
  TrialReply,
  Work,
} from './computeWorker.ts';
import type { PagePictureWorker } from './pagePictureWorker.ts';

/** Why work in a worker came to no end: the maker stopped it, or it took longer than anybody waits. */
export class StoppedSearch extends Error {}

let tooLong = (): void => undefined;

/** Names what is done when work was stopped because it took too long. */
export const whenTooLong = (act: () => void): void => {
  tooLong = act;
};

/** Nobody waits longer for one piece of work; whatever needs more was made to. */
const MOST_SECONDS = 180;

type Bench = {
  readonly worker: Worker;
  readonly hand: Remote<Work>;
  readonly stop: (problem: StoppedSearch) => void;
  readonly stopped: Promise<never>;
};

const setUp = (): Bench => {
  const worker = new Worker(new URL('./computeWorker.ts', import.meta.url), { type: 'module' });
  let stop: Bench['stop'] = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    stop = reject;
  });
  // Nobody may be waiting when it is stopped.
  stopped.catch(() => undefined);
  return { worker, hand: wrap<Work>(worker), stop, stopped };
};

/** A worker for one kind of work that can be stopped in the middle of it. It is hired when it is first needed, or at once, so that it
 *  is ready when the first set has come. */
const hire = (when: 'now' | 'when needed', seconds = MOST_SECONDS) => {
  let bench: Bench | null = when === 'now' ? setUp() : null;
  const stop = (): void => {
    bench?.worker.terminate();
    bench?.stop(new StoppedSearch());
    bench = null;
  };
  return {
    ask: <T>(work: (hand: Remote<Work>) => Promise<T>): Promise<T> => {
      bench ??= setUp();
      const { hand, stopped } = bench;
      const timer = setTimeout(() => {
        stop();
        tooLong();
      }, seconds * 1000);
      return Promise.race([work(hand), stopped]).finally(() => clearTimeout(timer));
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

const workshop = hire(beginsAtShelf ? 'when needed' : 'now');
/** A picture on the shelf is not worth a longer wait, and one that takes it keeps the others from nothing. */
const LOOK_SECONDS = 20;
const shelfRoom = hire(beginsAtShelf ? 'now' : 'when needed', LOOK_SECONDS);
/** Boards of a large set take most of a second; a worker of their own keeps that from the drawing board. */
const cuttingRoom = hire('when needed');
/** So do pages and their PDF. */
const press = hire('when needed');
/** The search for better layouts takes seconds, and is given up for every change. */
const searchRoom = hire('when needed');

const restored = <T extends { readonly key: string }>(
  reply: readonly (T | { readonly key: string })[],
  known: Map<string, T>,
): readonly T[] => {
  const whole = reply.map((item) => ('id' in item || 'layout' in item ? (item as T) : (known.get(item.key) as T)));
  known.clear();
  for (const item of whole) known.set(item.key, item);
  return whole;
};

const pieces = new Map<string, DerivedPiece>();
const layouts = new Map<string, BoardLayout>();

/** Derives in the worker; unchanged pieces come back as the very same objects. Calls must not overlap. */
export const deriveThere = async (document: SetDocument): Promise<{ readonly set: DerivedSet; readonly rooms: readonly Finding[] }> => {
  const reply: DeriveReply = await workshop.ask((hand) => hand.derive(document));
  return { set: { scale: reply.scale, pieces: restored<DerivedPiece>(reply.pieces, pieces) }, rooms: reply.rooms };
};

/** First layouts of the boards and sticks, made in the worker. Calls must not overlap. Rejects with Stopped when it was stopped. */
export const layOutThere = async (
  document: SetDocument,
): Promise<{ readonly layouts: readonly BoardLayout[]; readonly sticks: readonly StickPlan[] }> => {
  const reply: LayoutReply = await cuttingRoom.ask((hand) => hand.layOut(document));
  return { layouts: restored<BoardLayout>(reply.layouts, layouts), sticks: reply.sticks };
};

/** Searches for better layouts, in a worker of its own that is let go whenever the set changes. */
export const searchThere = (
  document: SetDocument,
  searched: readonly BoardLayout[],
  sticks: readonly StickPlan[],
  onBetter: (layout: BoardLayout) => void,
): Promise<SearchReply> => searchRoom.ask((hand) => hand.search(document, searched, sticks, proxy(onBetter)));

/** What is noticed about coverings; of those who search, for whoever makes pages is waited for. */
export const coverNotesThere = async (document: SetDocument): Promise<readonly Finding[]> =>
  (await searchRoom.ask((hand) => hand.needs(document))).findings;

export const stopSearch = searchRoom.stop;

export const stopLayOut = cuttingRoom.stop;

/** Stops deriving; what follows stays as it was. */
export const stopDeriving = workshop.stop;

/** A set that does not lie open, for its picture. */
export const lookThere = inTurn((document: SetDocument): Promise<DerivedSet> => shelfRoom.ask((hand) => hand.look(document)));

/** A piece as it is best begun in a set; asked of whoever derives, for the shelf's room may be drawing a whole library. */
export const suitThere = (document: SetDocument, piece: Piece): Promise<Suited> => workshop.ask((hand) => hand.suit(document, piece));

/** An opening as it begins in a wall of a room, where it fits. */
export const openingThere = (document: SetDocument, room: Room, which: WhichWall, form: OpeningForm): Promise<WallOpening> =>
  workshop.ask((hand) => hand.opening(document, room, which, form));

/** The nearest that stands to a piece that cannot be built. */
export const insteadThere = (document: SetDocument, pieceId: string): Promise<Instead | null> =>
  workshop.ask((hand) => hand.instead(document, pieceId));

/** The order of assembly of a derived piece, by its key. */
export const orderThere = (key: string): Promise<Order | null> => workshop.ask((hand) => hand.order(key));

/** What covers a piece; null when it cannot be built. */
export const coverThere = (document: SetDocument, pieceId: string): Promise<DerivedCovering | null> =>
  workshop.ask((hand) => hand.cover(document, pieceId));

/** What all coverings need; pages are counted for that, so it is asked of those who make them. */
export const needsThere = newestOnly((document: SetDocument): Promise<NeedsReply> => press.ask((hand) => hand.needs(document)));

/** The paper that a small good takes; pages are counted for that too. */
export const goodPaperThere = newestOnly(
  ({ document, pieceId }: { readonly document: SetDocument; readonly pieceId: string }): Promise<readonly GoodPaper[]> =>
    press.ask((hand) => hand.goodPaper(document, pieceId)),
);

/** The smallest change of a piece's driving sizes that puts its cuts on the rule. */
export const fitRuleThere = (document: SetDocument, pieceId: string, grid: number): Promise<RuleFit> =>
  cuttingRoom.ask((hand) => hand.fitRule(document, pieceId, grid));

export const boardsThere = (document: SetDocument, layouts: readonly BoardLayout[], format: 'svg' | 'dxf'): Promise<string> =>
  press.ask((hand) => hand.boards(document, layouts, format));

/** The boards on paper, as a PDF. */
export const boardPagesThere = (document: SetDocument, layouts: readonly BoardLayout[]): Promise<Uint8Array<ArrayBuffer>> =>
  press.ask((hand) => hand.boardPages(document, layouts));

type Asked = { readonly made: number; readonly document: SetDocument; readonly wanted: PagesWanted };
/** The pages that were asked for last: who was stopped has forgotten them, and makes them up again. */
let asked: Asked | undefined;

const makeUpThere = newestOnly(
  ({ made, document, wanted }: Asked): Promise<PagesReply> => press.ask((hand) => hand.pages(made, document, wanted)),
);

/** Makes up pages; they stay with whoever made them, to be written page by page. */
export const pagesThere = (document: SetDocument, wanted: PagesWanted): Promise<PagesReply> => {
  const made = (asked?.made ?? 0) + 1;
  asked = { made, document, wanted };
  return makeUpThere(asked);
};

let remaking: Promise<unknown> | undefined;

/** Does something with the pages that were made up under a number; null when others were asked for since. */
const withPages = <T>(made: number, work: (hand: Remote<Work>) => Promise<T | null>): Promise<T | null> =>
  press.ask(async (hand) => {
    const done = await work(hand);
    if (done !== null || asked?.made !== made) return done;
    remaking ??= hand.pages(made, asked.document, asked.wanted).finally(() => {
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
): Promise<PlotReply> => press.ask((hand) => hand.plot(document, wanted, bed, format, copies));

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
  pagePictures ??= wrap<PagePictureWorker>(new Worker(new URL('./pagePictureWorker.ts', import.meta.url), { type: 'module' }));
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
