import { VERSION } from '@parlor/core/set';
import { FileUp, Plus } from 'lucide-react';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type ApiError, api } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import { usualThere } from './usualThere.ts';

type Issue = { readonly path: string; readonly message: string };
type Trouble = { readonly file: string; readonly issues: readonly Issue[] };

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

type Read = { readonly ok: true; readonly data: unknown } | { readonly ok: false; readonly message: string };

/** Reads a file as far as a page should: what stands in it is judged where it takes nobody's time. */
const readFile = async (file: File): Promise<Read> => {
  if (file.size > MOST_BYTES) return { ok: false, message: 'The file is larger than 4 MB; a set never is.' };
  const kind = await kindOf(file);
  if (kind) return { ok: false, message: `This is ${kind}; a set is a .parlor.json file.` };
  try {
    return { ok: true, data: JSON.parse(await file.text()) };
  } catch (problem) {
    return { ok: false, message: `This is not JSON: ${problem instanceof Error ? problem.message : 'it cannot be read'}.` };
  }
};

const WHY: Readonly<Record<string, string>> = {
  'document-too-heavy': 'The file holds more than can be read in ten seconds; a set never does.',
  'body-too-large': 'Written out in full the set is larger than 4 MB.',
  'too-many-sets': 'The shelf is full. Delete sets that you no longer need.',
  'storage-full': 'The disk is full. Make room, then try again.',
  busy: 'Too many files are being read just now. Try again in a moment.',
};

const issuesOf = (error: ApiError): readonly Issue[] =>
  error.issues ?? [{ path: '', message: WHY[error.code] ?? 'Bashful Parlor cannot be reached. Is it still running?' }];

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
    else setTrouble({ file: name, issues: issuesOf(made.error) });
  };
  const bring = async (file: File | undefined) => {
    if (!file) return;
    const read = await readFile(file);
    if (!read.ok) return setTrouble({ file: file.name, issues: [{ path: '', message: read.message }] });
    setTrouble(null);
    await make(file.name, read.data);
  };
  return (
    <section aria-label="Begin" className="space-y-3">
      <h2 className="text-head">Begin</h2>
      <div className="flex flex-wrap gap-2">
        <Button
          look="main"
          onClick={() => void make(NEW, { format: 'bashful-parlor-set', version: VERSION, name: NEW, ...usualThere(navigator.language) })}
        >
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
