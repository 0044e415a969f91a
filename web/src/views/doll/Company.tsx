import { type Companion, dollSchema } from '@parlor/core/doll';
import { dollUm, UM } from '@parlor/core/measure';
import { Plus, Trash2 } from 'lucide-react';
import { useEdit, useSet } from '../../state/index.ts';
import { Button, Check, Choice, SizeField, TextField } from '../../ui/index.ts';
import { BodyFields } from './BodyFields.tsx';
import { StandsFor } from './StandsFor.tsx';

const MOST = 12;

/** Which pieces another doll uses: every one, or some. */
const Uses = ({ doll, onChange }: { readonly doll: Companion; readonly onChange: (words: string, uses: Companion['uses']) => void }) => {
  const { pieces } = useSet();
  const uses = doll.uses;
  return (
    <div>
      <Choice
        label={`${doll.name} uses`}
        value={uses === 'all' ? 'all' : 'some'}
        options={[
          { value: 'all', label: 'everything' },
          { value: 'some', label: 'some of it' },
        ]}
        onChange={(value) => onChange(`what ${doll.name} uses`, value === 'all' ? 'all' : [])}
      />
      {uses !== 'all' && (
        <div className="grid grid-cols-2 gap-x-4 mt-1">
          {pieces.map(({ id, mark, name }) => (
            <Check
              key={id}
              checked={uses.includes(id)}
              onChange={(on) => onChange(`what ${doll.name} uses`, on ? [...uses, id] : uses.filter((each) => each !== id))}
            >
              {mark} {name}
            </Check>
          ))}
        </div>
      )}
    </div>
  );
};

/** Others who live there: each with a body of her own, and what she uses. */
export const Company = () => {
  const { company } = useSet();
  const edit = useEdit();
  const put = (words: string, next: readonly Companion[]): void => edit(words, { kind: 'change-set', change: { company: next } });
  const change = (id: string) => (words: string, change: Partial<Companion>) =>
    put(
      words,
      company.map((each) => (each.id === id ? { ...each, ...change } : each)),
    );
  return (
    <section aria-label="Others who live there">
      <h2 className="text-head">Others who live there</h2>
      {company.length === 0 && <p className="text-note text-graphite">A child, a guest: what they use is looked at for them too.</p>}
      <ul className="space-y-1">
        {company.map((doll) => {
          const set = change(doll.id);
          return (
            <li key={doll.id}>
              <details className="border border-tab rounded-soft px-3" data-companion={doll.id}>
                <summary className="min-h-touch flex items-center">{doll.name || 'without a name'}</summary>
                <div className="space-y-3 pb-3">
                  <TextField label="Her name" value={doll.name} onChange={(name) => set(`the name of ${doll.name}`, { name })} />
                  <div className="grid grid-cols-2 gap-4">
                    <SizeField
                      label={`How tall ${doll.name} is`}
                      world="doll"
                      lengthUm={doll.height}
                      min={20 * UM.mm}
                      max={1200 * UM.mm}
                      onChange={(height) => set(`how tall ${doll.name} is`, { height: dollUm(height) })}
                    />
                    <StandsFor doll={doll} label={`${doll.name} stands for`} onChange={set} />
                  </div>
                  <BodyFields doll={doll} onChange={set} />
                  <Uses doll={doll} onChange={(words, uses) => set(words, { uses })} />
                  <Button
                    look="quiet"
                    onClick={() =>
                      put(
                        `${doll.name} taken away`,
                        company.filter(({ id }) => id !== doll.id),
                      )
                    }
                  >
                    <Trash2 size={15} /> take {doll.name} away
                  </Button>
                </div>
              </details>
            </li>
          );
        })}
      </ul>
      <Button
        look="quiet"
        disabled={company.length >= MOST}
        onClick={() =>
          put('another doll', [
            ...company,
            { ...dollSchema.parse({}), name: `doll ${company.length + 2}`, id: crypto.randomUUID(), uses: 'all' },
          ])
        }
      >
        <Plus size={16} /> another doll
      </Button>
    </section>
  );
};
