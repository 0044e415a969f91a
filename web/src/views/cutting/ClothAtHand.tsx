import { dollUm, showLength, UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { CLOTH_KIND_NAMES, CLOTH_KINDS, type ClothKind, clothThickness, hasNap, MOST_CLOTHS } from '@parlor/core/stock';
import { Plus, Trash2, X } from 'lucide-react';
import { useState } from 'react';
import { useEdit, useSet, useUnits } from '../../state/index.ts';
import { Button, Check, InkChoice, Picker, SizeField, TextField } from '../../ui/index.ts';

type Cloth = SetDocument['cloths'][number];

const KIND_OPTIONS = CLOTH_KIND_NAMES.map((value) => ({ value, label: value }));

/** Rests of a cloth that are worth keeping. */
const Scraps = ({ cloth, onChange }: { readonly cloth: Cloth; readonly onChange: (scraps: Cloth['scraps']) => void }) => {
  const units = useUnits();
  const [[width, height], setSize] = useState<readonly [number, number]>([150 * UM.mm, 100 * UM.mm]);
  return (
    <div>
      {cloth.scraps.length > 0 && (
        <ul className="flex flex-wrap gap-x-3" aria-label={`Scraps of ${cloth.name}`}>
          {cloth.scraps.map((scrap) => (
            <li key={scrap.id} className="flex items-center font-hand text-note">
              {showLength(scrap.width, units)} × {showLength(scrap.height, units)}
              <Button
                look="quiet"
                className="px-2!"
                aria-label={`Put the scrap of ${showLength(scrap.width, units)} × ${showLength(scrap.height, units)} away`}
                onClick={() => onChange(cloth.scraps.filter(({ id }) => id !== scrap.id))}
              >
                <X size={16} />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <details>
        <summary className="text-note underline underline-offset-4 decoration-dotted min-h-touch flex items-center">a scrap of it</summary>
        <div className="grid grid-cols-2 gap-4 items-end pb-2">
          <SizeField
            label="Scrap, across the grain"
            world="doll"
            lengthUm={width}
            min={10 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => setSize([um, height])}
          />
          <SizeField
            label="Scrap, along the grain"
            world="doll"
            lengthUm={height}
            min={10 * UM.mm}
            max={3 * UM.m}
            onChange={(um) => setSize([width, um])}
          />
          <Button onClick={() => onChange([...cloth.scraps, { id: crypto.randomUUID(), width: dollUm(width), height: dollUm(height) }])}>
            <Plus size={16} /> add the scrap
          </Button>
        </div>
      </details>
    </div>
  );
};

const ClothCard = ({ cloth }: { readonly cloth: Cloth }) => {
  const { cloths, pieces, finishes } = useSet();
  const edit = useEdit();
  const put = (words: string, change: Partial<Cloth>): void =>
    edit(`${words} of ${cloth.name}`, {
      kind: 'change-set',
      change: { cloths: cloths.map((each) => (each.id === cloth.id ? { ...each, ...change } : each)) },
    });
  const used =
    cloths.length === 1 ||
    pieces.some((piece) => 'cloths' in piece && (piece.cloths.main === cloth.id || piece.cloths.second === cloth.id));
  const prints = finishes.filter(({ art }) => art.kind === 'pattern');
  return (
    <section aria-label={cloth.name} className="border border-tab rounded-soft p-4 pt-2.5 space-y-2 bg-leaf/60" data-cloth={cloth.id}>
      <div className="flex items-end gap-3">
        <div className="flex-1 min-w-0">
          <TextField label="Cloth" value={cloth.name} onChange={(name) => put('the name', { name })} />
        </div>
        <Button
          look="quiet"
          className="px-3!"
          disabled={used}
          title={used ? 'Something is cut from it' : 'Put this cloth away'}
          aria-label={`Put ${cloth.name} away`}
          onClick={() =>
            edit(`${cloth.name} put away`, { kind: 'change-set', change: { cloths: cloths.filter(({ id }) => id !== cloth.id) } })
          }
        >
          <Trash2 size={18} />
        </Button>
      </div>
      <div className="grid grid-cols-2 gap-x-5 gap-y-2 items-start">
        <Picker
          label="It is"
          value={cloth.kind}
          options={KIND_OPTIONS}
          onChange={(kind) => put('the kind', { kind: kind as ClothKind, thickness: null, nap: null })}
        />
        <SizeField
          label="Wide, across the grain"
          world="doll"
          lengthUm={cloth.width}
          min={10 * UM.mm}
          max={3 * UM.m}
          onChange={(um) => put('the width', { width: dollUm(um) })}
        />
        <SizeField
          fine
          label="Thick"
          world="doll"
          lengthUm={clothThickness(cloth)}
          min={20}
          max={20 * UM.mm}
          onChange={(um) => put('the thickness', { thickness: dollUm(um) })}
          hint={cloth.thickness === null ? 'as such cloth usually is' : undefined}
        />
        <div>
          <Check checked={cloth.length !== null} onChange={(on) => put('the length', { length: on ? dollUm(500 * UM.mm) : null })}>
            only so much of it
          </Check>
          {cloth.length !== null && (
            <SizeField
              label="Long, along the grain"
              world="doll"
              lengthUm={cloth.length}
              min={10 * UM.mm}
              max={50 * UM.m}
              onChange={(um) => put('the length', { length: dollUm(um) })}
            />
          )}
        </div>
      </div>
      <Check checked={hasNap(cloth)} onChange={(nap) => put('the nap', { nap: nap === CLOTH_KINDS[cloth.kind].nap ? null : nap })}>
        its pile or print runs one way
      </Check>
      <InkChoice label="Its colour" value={cloth.colour} usual="#f4efe4" onChange={(colour) => put('the colour', { colour })} />
      {prints.length > 0 && (
        <Picker
          label="Its print"
          value={cloth.print ?? ''}
          options={[{ value: '', label: 'plain' }, ...prints.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={(id) => put('the print', { print: id === '' ? null : id })}
        />
      )}
      <Scraps cloth={cloth} onChange={(scraps) => put('the scraps', { scraps })} />
    </section>
  );
};

/** The cloths at hand. */
export const ClothAtHand = () => {
  const { cloths } = useSet();
  const edit = useEdit();
  const first = cloths[0] as Cloth;
  return (
    <div className="space-y-4" id="cloth">
      <h2 className="text-head">Cloth at hand</h2>
      {cloths.map((cloth) => (
        <ClothCard key={cloth.id} cloth={cloth} />
      ))}
      <Button
        disabled={cloths.length >= MOST_CLOTHS}
        onClick={() =>
          edit('a cloth more', {
            kind: 'change-set',
            change: { cloths: [...cloths, { ...first, id: crypto.randomUUID(), name: `cloth ${cloths.length + 1}`, scraps: [] }] },
          })
        }
      >
        <Plus size={18} />
        another cloth
      </Button>
    </div>
  );
};
