import { type SetDocument, tidied, writeSetFile } from '@parlor/core/set';
import { Link } from 'react-router';
import { api, closed, noticed, useAppDispatch, useAppSelector, useEdit } from '../../state/index.ts';
import { Button, saveAs, TextField } from '../../ui/index.ts';

const fileName = (document: SetDocument): string =>
  `${
    document.name
      .trim()
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'set'
  }.parlor.json`;

/** The set that lies open: its name, where it stands, and what can be done with it as a whole. */
export const OpenSetCard = ({ onChanged }: { readonly onChanged: () => void }) => {
  const { id, document } = useAppSelector((state) => state.openSet);
  const dispatch = useAppDispatch();
  const edit = useEdit();
  if (!id || !document) return null;
  const remove = async () => {
    const { name } = document;
    const answer = await api.remove(id);
    if (!answer.ok)
      return dispatch(noticed({ text: 'It could not be taken off the shelf; is Bashful Parlor still running?', action: null }));
    dispatch(closed());
    dispatch(noticed({ text: `“${name}” is off the shelf.`, action: { label: 'Put it back', restore: id } }));
    return onChanged();
  };
  return (
    <section aria-label="The open set" className="space-y-3">
      <h2 className="text-head">Lying open</h2>
      <TextField
        label="Name of the set"
        value={document.name}
        most={120}
        onChange={(name) => edit('the name of the set', { kind: 'change-set', change: { name } })}
      />
      <TextField
        label="Where it stands, what it is"
        value={document.about}
        most={500}
        onChange={(about) => edit('what the set is', { kind: 'change-set', change: { about } })}
      />
      <p className="text-graphite">
        Its doll:{' '}
        <Link className="underline" to={`/sets/${id}/doll`}>
          {document.doll.name || 'the doll'}
        </Link>
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => saveAs(fileName(document), 'application/json', writeSetFile(tidied(document)))}>Save as a file</Button>
        <Button look="quiet" onClick={() => void remove()}>
          Take off the shelf
        </Button>
      </div>
    </section>
  );
};
