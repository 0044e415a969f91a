import { type Measure, type RealUm, type Scale, UM } from '@parlor/core/measure';
import { BOX, type FACES, FREE_ROLES, type Free, type FreePanel, MOST_PANELS, OUTLINES } from '@parlor/core/piece';
import { ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Button, Choice, MeasureField, Picker, TextField } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

type Anchor = FreePanel['against'];

const ZERO = 0 as RealUm;
const at = (face: Anchor['face']): Anchor => ({ of: BOX, face, away: ZERO });

const WAYS = {
  side: { thick: ['left', 'right'], across: ['back', 'front'], along: ['bottom', 'top'] },
  front: { thick: ['back', 'front'], across: ['left', 'right'], along: ['bottom', 'top'] },
  up: { thick: ['bottom', 'top'], across: ['left', 'right'], along: ['back', 'front'] },
} as const satisfies Record<FreePanel['facing'], Record<string, readonly (typeof FACES)[number][]>>;

const FACING = [
  { value: 'side', label: 'to the side' },
  { value: 'front', label: 'to the front' },
  { value: 'up', label: 'up' },
] as const;

const OUTLINE_WORDS: Readonly<Record<FreePanel['outline'], string>> = {
  whole: 'whole rectangle',
  triangle: 'triangle',
  slope: 'front corner cut off',
  arch: 'arch',
  'half-round': 'half-round',
  battlements: 'battlements',
  round: 'round or oval',
};

/** A panel that spans its whole room, turned the way it faces. */
const turnedTo = (panel: FreePanel, facing: FreePanel['facing']): FreePanel => {
  const { thick, across, along } = WAYS[facing];
  return {
    ...panel,
    facing,
    against: at(thick[0]),
    across: { from: at(across[0]), to: at(across[1]) },
    along: { from: at(along[0]), to: at(along[1]) },
    lean: ZERO,
  };
};

const fresh = (number: number): FreePanel =>
  turnedTo(
    {
      id: `panel-${number}`,
      name: `panel ${number}`,
      board: 'first',
      facing: 'front',
      against: at('back'),
      across: { from: at('left'), to: at('right') },
      along: { from: at('bottom'), to: at('top') },
      outline: 'whole',
      rise: (100 * UM.mm) as RealUm,
      lean: ZERO,
      holes: [],
    },
    'front',
  );

type AnchorProps = {
  readonly label: string;
  readonly anchor: Anchor;
  readonly faces: readonly Anchor['face'][];
  readonly others: readonly FreePanel[];
  readonly scale: Scale;
  readonly onChange: (anchor: Anchor) => void;
};

/** A plane to measure from: which face of what, and how far off it. */
const AnchorFields = ({ label, anchor, faces, others, scale, onChange }: AnchorProps) => {
  const value = `${anchor.of} ${anchor.face}`;
  const options = [
    ...faces.map((face) => ({ value: `${BOX} ${face}`, label: `the room’s ${face}` })),
    ...others.flatMap(({ id, name }) => faces.map((face) => ({ value: `${id} ${face}`, label: `the ${face} of ${name}` }))),
  ];
  const known = options.some((option) => option.value === value);
  return (
    <>
      <Picker
        label={label}
        value={value}
        options={known ? options : [{ value, label: 'a face that is not there' }, ...options]}
        onChange={(next) => {
          const cut = next.lastIndexOf(' ');
          onChange({ ...anchor, of: next.slice(0, cut), face: next.slice(cut + 1) as Anchor['face'] });
        }}
      />
      <MeasureField
        label={`${label}: away from it`}
        measure={anchor.away}
        scale={scale}
        min={0}
        max={5 * UM.m}
        onChange={(away: Measure) => onChange({ ...anchor, away })}
      />
    </>
  );
};

const PanelFields = ({
  panel,
  others,
  scale,
  onChange,
}: {
  readonly panel: FreePanel;
  readonly others: readonly FreePanel[];
  readonly scale: Scale;
  readonly onChange: (words: string, panel: FreePanel) => void;
}) => {
  const ways = WAYS[panel.facing];
  const put = (words: string, change: Partial<FreePanel>) => onChange(words, { ...panel, ...change });
  const common = { others, scale };
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-2 items-start">
      <TextField label="Called" value={panel.name} onChange={(name) => put('the name of a panel', { name })} />
      <Picker
        label="Its board"
        value={panel.board}
        options={FREE_ROLES.map((role) => ({ value: role, label: `the ${role} kind` }))}
        onChange={(board) => put('the board of a panel', { board: board as FreePanel['board'] })}
      />
      <div className="col-span-2">
        <Choice
          label="Its broad face looks"
          value={panel.facing}
          options={FACING}
          onChange={(facing) => onChange('which way a panel faces', turnedTo(panel, facing))}
        />
      </div>
      <AnchorFields
        {...common}
        label="It lies against"
        faces={ways.thick}
        anchor={panel.against}
        onChange={(against) => put('where a panel lies', { against })}
      />
      <AnchorFields
        {...common}
        label={`From ${ways.across[0]}`}
        faces={ways.across}
        anchor={panel.across.from}
        onChange={(from) => put('where a panel begins', { across: { ...panel.across, from } })}
      />
      <AnchorFields
        {...common}
        label={`To ${ways.across[1]}`}
        faces={ways.across}
        anchor={panel.across.to}
        onChange={(to) => put('where a panel ends', { across: { ...panel.across, to } })}
      />
      <AnchorFields
        {...common}
        label={`From ${ways.along[0]}`}
        faces={ways.along}
        anchor={panel.along.from}
        onChange={(from) => put('where a panel begins', { along: { ...panel.along, from } })}
      />
      <AnchorFields
        {...common}
        label={`To ${ways.along[1]}`}
        faces={ways.along}
        anchor={panel.along.to}
        onChange={(to) => put('where a panel ends', { along: { ...panel.along, to } })}
      />
      <Picker
        label="Its outline"
        value={panel.outline}
        options={OUTLINES.map((outline) => ({ value: outline, label: OUTLINE_WORDS[outline] }))}
        onChange={(outline) => put('the outline of a panel', { outline: outline as FreePanel['outline'] })}
      />
      {['slope', 'arch', 'battlements'].includes(panel.outline) && (
        <MeasureField
          label="By so much"
          measure={panel.rise}
          scale={scale}
          min={0}
          max={3 * UM.m}
          onChange={(rise) => put('the outline of a panel', { rise })}
        />
      )}
      {panel.facing !== 'side' && (
        <MeasureField
          label={panel.facing === 'front' ? 'Its top leans back by' : 'Its back rises by'}
          measure={panel.lean}
          scale={scale}
          min={0}
          max={3 * UM.m}
          onChange={(lean) => put('how a panel slants', { lean })}
        />
      )}
    </div>
  );
};

/** The panels of a free piece, each placed by the faces of those before it. */
export const FreePanels = ({ piece, scale }: { readonly piece: Free; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const [open, setOpen] = useState<string | null>(piece.panels[0]?.id ?? null);
  const put = (words: string, panels: readonly FreePanel[]) => change(words, ['panels'], panels);
  const add = () => {
    let number = piece.panels.length + 1;
    while (piece.panels.some(({ id }) => id === `panel-${number}`)) number += 1;
    put('a panel', [...piece.panels, fresh(number)]);
    setOpen(`panel-${number}`);
  };
  return (
    <section aria-label="Panels" className="mt-3 space-y-1.5">
      <h3 className="text-note text-graphite">Panels, each placed by the room’s faces or by those of panels before it</h3>
      {piece.panels.map((panel, index) => (
        <details
          key={panel.id}
          open={open === panel.id}
          onToggle={(event) => {
            const isOpen = event.currentTarget.open;
            setOpen((now) => (isOpen ? panel.id : now === panel.id ? null : now));
          }}
          className="border border-tab rounded-soft px-3"
          data-panel={panel.id}
        >
          <summary className="min-h-touch flex items-center gap-2">
            <span className="font-hand text-graphite w-5">{index + 1}</span> {panel.name}
          </summary>
          {open === panel.id && (
            <PanelFields
              panel={panel}
              others={piece.panels.slice(0, index)}
              scale={scale}
              onChange={(words, next) => put(words, piece.panels.with(index, next))}
            />
          )}
          <div className="flex gap-2 py-2">
            <Button
              look="quiet"
              disabled={index === 0}
              onClick={() => put('the order of panels', piece.panels.toSpliced(index, 1).toSpliced(index - 1, 0, panel))}
            >
              <ArrowUp size={15} /> earlier
            </Button>
            <Button
              look="quiet"
              disabled={piece.panels.length === 1}
              onClick={() => put('a panel taken away', piece.panels.toSpliced(index, 1))}
            >
              <Trash2 size={15} /> take it away
            </Button>
          </div>
        </details>
      ))}
      <Button look="quiet" disabled={piece.panels.length >= MOST_PANELS} onClick={add}>
        <Plus size={15} /> a panel
      </Button>
    </section>
  );
};
