import { UM } from '@parlor/core/measure';
import { type ReactNode, useState } from 'react';
import {
  Button,
  Check,
  Choice,
  CornerHelp,
  HoldHelp,
  Keys,
  Patience,
  Picker,
  Sheet,
  SizeField,
  Spread,
  TextField,
} from '../../ui/index.ts';

const COLOURS = [
  'paper',
  'leaf',
  'table',
  'tab',
  'oat',
  'steel',
  'rule',
  'line',
  'ink',
  'graphite',
  'rose',
  'blush',
  'moss',
  'sprig',
  'lilac',
];
const TYPE = ['text-small', 'text-note', 'text-body', 'text-lead', 'text-pencil', 'text-head', 'text-title', 'text-name'];
const RADII = ['rounded-nick', 'rounded-slip', 'rounded-soft', 'rounded-leaf'];

const Block = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <section className="mb-7">
    <h2 className="text-head mb-2">{title}</h2>
    <div className="flex flex-wrap gap-4 items-start">{children}</div>
  </section>
);

const Tokens = () => (
  <>
    <Block title="Colours">
      {COLOURS.map((name) => (
        <figure key={name} className="w-20">
          <div className="h-12 rounded-slip border border-line" style={{ background: `var(--${name})` }} />
          <figcaption className="text-small">{name}</figcaption>
        </figure>
      ))}
    </Block>
    <Block title="Type">
      {TYPE.map((name) => (
        <p key={name} className={name}>
          {name.slice(5)} 11 13/16 in
        </p>
      ))}
      <p className="font-name text-title">Name</p>
      <p className="font-hand text-pencil">pencil size 1676.5 mm</p>
    </Block>
    <Block title="Radii">
      {RADII.map((name) => (
        <div key={name} className={`size-16 border border-line grid place-items-center text-small ${name}`}>
          {name.slice(8)}
        </div>
      ))}
    </Block>
  </>
);

const Primitives = () => {
  const [side, setSide] = useState<'outside' | 'inside'>('outside');
  const [size, setSize] = useState(900 * UM.mm);
  const [name, setName] = useState('Stamp-book bookcase');
  const [ticked, setTicked] = useState(true);
  const [open, setOpen] = useState(false);
  return (
    <>
      <Block title="To press">
        <Button look="main">main</Button>
        <Button>plain</Button>
        <Button look="quiet">quiet</Button>
        <Button disabled>not now</Button>
        <Button onClick={() => setOpen(true)}>a sheet</Button>
      </Block>
      <Block title="To choose">
        <Choice
          label="Hold true"
          help={<HoldHelp />}
          value={side}
          options={[
            { value: 'outside', label: 'outside' },
            { value: 'inside', label: 'inside' },
          ]}
          onChange={setSide}
        />
        <Picker label="Board" value="a" options={[{ value: 'a', label: 'white foam board, 4.8 mm' }]} onChange={() => undefined} />
        <Check checked={ticked} onChange={setTicked}>
          ticked
        </Check>
      </Block>
      <Block title="To write">
        <div className="w-40">
          <SizeField label="Width" world="real" lengthUm={size} onChange={setSize} help={<CornerHelp />} hint="in any unit" />
        </div>
        <SizeField pencil label="on a drawing" world="real" lengthUm={size} onChange={setSize} />
        <div className="w-60">
          <TextField label="Name" value={name} onChange={setName} />
        </div>
      </Block>
      <Block title="To wait, to know">
        <div className="w-80">
          <Patience what="page 12 of 40" done={12} of={40} onStop={() => undefined} />
        </div>
        <Keys keys={['Ctrl', 'Shift', 'Z']} />
      </Block>
      <Sheet title="A sheet over the table" open={open} onOpenChange={setOpen}>
        <p>It is put away with Escape, with the cross, or with a touch beside it.</p>
      </Sheet>
    </>
  );
};

/** Tokens and primitives side by side, for developers. */
export const Workbench = () => <Spread leftLabel="Tokens" rightLabel="Primitives" left={<Tokens />} right={<Primitives />} />;
