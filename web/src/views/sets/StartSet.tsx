import { type ReadIssue, readSetFile } from '@parlor/core/set';
import { FileUp, Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';

type Trouble = { readonly file: string; readonly issues: readonly ReadIssue[] };

const MOST_BYTES = 4_000_000;
const NEW = 'A new set';

/** A file of another kind says what it is in its first bytes. */
const KINDS: readonly (readonly [signature: string, name: string])[] = [
  ['PK', 'an archive'],
  ['\u001f\u008b', 'a packed file'],
  ['\u0089PNG', 'a picture'],
  ['\u00ff\u00d8', 'a picture'],
  ['%PDF', 'a PDF'],
];

const kindOf = async (file: File): Promise<string | undefined> => {
  const first = String.fromCharCode(...new Uint8Array(await file.slice(0, 8).arrayBuffer()));
  return KINDS.find(([signature]) => first.startsWith(signature))?.[1];
};

const readFile = async (file: File): Promise<ReturnType<typeof readSetFile>> => {
  if (file.size > MOST_BYTES) return { ok: false, error: [{ path: '', message: 'The file is larger than 4 MB; a set never is.' }] };
  const kind = await kindOf(file);
  if (kind) return { ok: false, error: [{ path: '', message: `This is ${kind}; a set is a .parlor.json file.` }] };
  return readSetFile(await file.text());
};

const Issues = ({ file, issues }: Trouble) => (
  <div role="alert" className="border-l-4 border-rose pl-3 font-hand text-rose" data-testid="import-issues">
    <p className="font-bold">“{file}” was not brought in; nothing has changed.</p>
    <ul className="list-disc pl-5 max-h-64 overflow-y-auto">
      {issues.map(({ path, message }) => (
        <li key={`${path} ${message}`}>
          {path && <span className="font-text text-small bg-oat px-1 rounded-nick mr-1">{path}</span>}
          {message}
        </li>
      ))}
    </ul>
  </div>
);

/** Ways to begin: an empty set, or one from a file. A file that cannot be read says everything that is wrong with it. */
export const StartSet = () => {
  const navigate = useNavigate();
  const chooser = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  const make = async (name: string, document: unknown) => {
    const made = await api.create(document, name === NEW ? 'begun' : 'brought in');
    if (made.ok) await navigate(`/sets/${made.value.id}/pieces`);
    else
      setTrouble({
        file: name,
        issues: made.error.issues ?? [{ path: '', message: 'Bashful Parlor cannot be reached. Is it still running?' }],
      });
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    const read = await readFile(file);
    if (!read.ok) return setTrouble({ file: file.name, issues: read.error });
    setTrouble(null);
    await make(file.name, read.value);
  };
  return (
    <section aria-label="Begin" className="space-y-3">
      <h2 className="text-head">Begin</h2>
      <div className="flex flex-wrap gap-2">
        <Button look="main" onClick={() => void make(NEW, { format: 'bashful-parlor-set', version: 1, name: NEW })}>
          <Plus size={18} />a new set
        </Button>
        <Button onClick={() => chooser.current?.click()}>
          <FileUp size={18} />
          from a file
        </Button>
        <input
          ref={chooser}
          type="file"
          accept=".json,application/json"
          className="sr-only"
          tabIndex={-1}
          aria-label="A set from a file"
          onChange={(event) => {
            void bring(event.target.files?.[0]);
            event.target.value = '';
          }}
        />
      </div>
      {trouble && <Issues {...trouble} />}
    </section>
  );
};
