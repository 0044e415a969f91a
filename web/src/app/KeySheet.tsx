import { Keys, Sheet } from '../ui/index.ts';

type Line = readonly [keys: readonly (readonly string[])[], words: string];

const EVERYWHERE: readonly Line[] = [
  [[['Ctrl', 'Z']], 'take the last step back'],
  [
    [
      ['Ctrl', 'Shift', 'Z'],
      ['Ctrl', 'Y'],
    ],
    'do it again',
  ],
  [
    [
      ['Alt', 'Page Down'],
      ['Alt', 'Page Up'],
    ],
    'turn to the next view, to the one before',
  ],
  [[['Ctrl', '/']], 'this sheet'],
];

const IN_A_SIZE: readonly Line[] = [
  [[['↑'], ['↓']], 'a step of the rule more, less; with Shift ten'],
  [[['Enter']], 'take it'],
  [[['Esc']], 'leave it as it was'],
];

const ON_A_BAY: readonly Line[] = [
  [[['←'], ['→'], ['↑'], ['↓']], 'go to the bay beside, above, below'],
  [[['Enter'], ['Space']], 'choose it; again for what is behind its door'],
  [[['+'], ['−']], 'a shelf more, a shelf less'],
  [[['C'], ['R']], 'split it into columns, into rows'],
  [[['D']], 'hang a door, or take it off'],
  [[['Delete']], 'take the bay out'],
];

const ON_A_PLAN: readonly Line[] = [
  [[['←'], ['→'], ['↑'], ['↓']], 'move the thing by a step of the rule; with Shift ten'],
  [[[','], ['.']], 'turn it to the left, to the right'],
  [[['Delete']], 'take it out of the room'],
];

const ELSEWHERE: readonly Line[] = [
  [[['←'], ['→'], ['↑'], ['↓']], 'on the model: turn it; on the twin rule: move the mark'],
  [[['Esc']], 'put a sheet, a note or the mark away'],
];

const Block = ({ title, lines }: { readonly title: string; readonly lines: readonly Line[] }) => (
  <section>
    <h3 className="text-lead mb-1.5">{title}</h3>
    <dl className="space-y-1.5">
      {lines.map(([keys, words]) => (
        <div key={words} className="flex gap-3 items-baseline">
          <dt className="w-52 shrink-0 flex flex-wrap gap-x-2.5 gap-y-1">
            {keys.map((each) => (
              <Keys key={each.join()} keys={each} />
            ))}
          </dt>
          <dd className="text-note">{words}</dd>
        </div>
      ))}
    </dl>
  </section>
);

/** Every key in one sheet, by where it works. On a Mac, ⌘ does what Ctrl does. */
export const KeySheet = ({ open, onOpenChange }: { readonly open: boolean; readonly onOpenChange: (open: boolean) => void }) => (
  <Sheet title="All by keyboard" open={open} onOpenChange={onOpenChange}>
    <div className="space-y-5">
      <Block title="Everywhere" lines={EVERYWHERE} />
      <Block title="In a size" lines={IN_A_SIZE} />
      <Block title="On a bay of the drawing" lines={ON_A_BAY} />
      <Block title="On the plan of a room" lines={ON_A_PLAN} />
      <Block title="Elsewhere" lines={ELSEWHERE} />
    </div>
  </Sheet>
);
