import { api, type Notice } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';

const saves = (count: number): string => `${count} ${count === 1 ? 'save' : 'saves'}`;

const day = (at: string): string => new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'long' });

/** What was found, in a sentence or two. */
const wordsOf = ({ what, at, missing, aside }: Notice): string => {
  const where = aside ? ` What was found is kept in ${aside}.` : '';
  const lost = missing > 0 ? `${saves(missing)} could not be read` : 'nothing was lost';
  switch (what) {
    case 'rebuilt':
      return `On ${day(at)} the shelf’s database could not be read, so it was made again from the newest copy and the journal; ${lost}.${where}`;
    case 'entries-missing':
      return `On ${day(at)} part of the journal was missing: ${lost}. If a browser still holds newer work, open the set there.${where}`;
    case 'journal-damaged':
      return `On ${day(at)} part of the journal was damaged; ${lost}, for the database had it all.${where}`;
    case 'reading-only':
      return 'The disk takes nothing just now (it is full, or can only be read), so sets can be opened, printed and saved as files, but changes are kept in this browser only. Make room and start again.';
  }
};

/** Calm words about what was found at the last start, until they are put away. */
export const ShelfNotices = ({ notices, onChanged }: { readonly notices: readonly Notice[]; readonly onChanged: () => void }) => {
  const close = async (id: string) => {
    await api.dropNotice(id);
    onChanged();
  };
  return notices.map((notice) => (
    <div
      key={notice.id}
      role="status"
      data-notice={notice.what}
      className="mb-4 p-4 rounded-soft bg-paper border-l-4 border-moss flex items-start gap-3"
    >
      <p className="flex-1 min-w-0 wrap-anywhere">{wordsOf(notice)}</p>
      {notice.what !== 'reading-only' && (
        <Button look="quiet" aria-label="Close this notice" onClick={() => void close(notice.id)}>
          Close
        </Button>
      )}
    </div>
  ));
};
