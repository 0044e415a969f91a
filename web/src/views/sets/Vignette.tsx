import { scaleOf } from '@parlor/core/doll';
import { type DerivedSet, readSet, type SetDocument } from '@parlor/core/set';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { api, type SetSummary, useAppSelector, useLook } from '../../state/index.ts';
import { SetScene } from '../../ui/index.ts';

type Look = { readonly document: SetDocument; readonly derived: DerivedSet };

/** The set's document as it stands now: the open one from the page, others from the server. */
const useDocument = ({ id }: SetSummary): SetDocument | 'unreadable' | null => {
  const open = useAppSelector((state) => (state.openSet.id === id ? state.openSet.document : null));
  const [found, setFound] = useState<SetDocument | 'unreadable' | null>(null);
  useEffect(() => {
    let wanted = open === null;
    if (wanted) {
      void api.read(id).then((answer) => {
        const read = answer.ok ? readSet(answer.value.document) : null;
        if (wanted) setFound(read?.ok ? read.value : 'unreadable');
      });
    }
    return () => {
      wanted = false;
    };
  }, [id, open]);
  return open ?? found;
};

const facts = ({ document, derived }: Look): string => {
  const scale = scaleOf(document.doll);
  const notes = derived.pieces.flatMap(({ findings }) => findings).filter(({ severity }) => severity !== 'note').length;
  const count = document.pieces.length;
  return [
    `1 : ${Number((scale.real / scale.doll).toFixed(2))}`,
    `${count} ${count === 1 ? 'piece' : 'pieces'}`,
    notes > 0 ? `${notes} to look at` : 'nothing to mend',
  ].join(' · ');
};

/** A set on the shelf: what stands in it, drawn from the model. */
export const Vignette = ({ set, unsent = false }: { readonly set: SetSummary; readonly unsent?: boolean }) => {
  const document = useDocument(set);
  const derived = useLook(document === 'unreadable' ? null : document);
  const unreadable = document === 'unreadable' || derived === 'failed';
  const look: Look | null = document && document !== 'unreadable' && derived && derived !== 'failed' ? { document, derived } : null;
  return (
    <Link
      to={`/sets/${set.id}/pieces`}
      data-set={set.id}
      className="grid grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)] max-sm:grid-cols-1 gap-5 bg-paper rounded-soft border border-tab p-3.5 no-underline text-ink hover:border-rose hover:shadow-leaf transition-shadow duration-quick"
    >
      <div className="h-[168px] bg-leaf rounded-slip p-2 pb-0 grid place-items-center">
        {unreadable ? (
          <p className="font-hand text-rose">it cannot be drawn</p>
        ) : look ? (
          <SetScene {...look} label={`${set.name}: ${look.document.pieces.map(({ name }) => name).join(', ') || 'no pieces yet'}`} />
        ) : (
          <p className="font-hand text-graphite">setting it up …</p>
        )}
      </div>
      <div className="min-w-0 flex flex-col">
        <h3 className="text-head line-clamp-2 wrap-break-word">{set.name || 'no name yet'}</h3>
        <p className="text-note text-graphite mt-1.5 line-clamp-4">{set.about}</p>
        {unsent && (
          <p className="font-hand text-rose mt-auto" data-testid="unsent">
            unsaved changes in this browser: open it to save them
          </p>
        )}
        <p className="text-note mt-auto">{look ? facts(look) : '…'}</p>
      </div>
    </Link>
  );
};
