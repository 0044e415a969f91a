import { showLength, UM } from '@parlor/core/measure';
import type { MachineAction, MadeStroke } from '@parlor/core/plot';
import { useState } from 'react';
import { type TrialReply, useUnits } from '../../state/index.ts';

const LOOKS: Readonly<Record<MachineAction, { readonly stroke: string; readonly width: number; readonly dash?: string }>> = {
  cuts: { stroke: 'var(--ink)', width: 0.7 },
  scores: { stroke: 'var(--rose)', width: 0.6, dash: '2.4 1.6' },
  leaves: { stroke: 'var(--graphite)', width: 0.25, dash: '0.8 1.2' },
};

const pathOf = ({ points, closed }: MadeStroke, height: number): string =>
  `M${points.map(([x, y]) => `${x.toFixed(2)} ${(height - y).toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`;

type Props = {
  readonly name: string;
  readonly reply: TrialReply;
  /** Of the bed, in mm. */
  readonly width: number;
  readonly height: number;
};

/** What a blade does with a file, line after line: what it cuts is ink, what it scores is dashed, what it leaves alone is dotted; what falls off
 *  the bed is said and drawn beyond its edge. */
export const Machine = ({ name, reply, width, height }: Props) => {
  const units = useUnits();
  const [done, setDone] = useState<number | null>(null);
  if ('problem' in reply)
    return (
      <p role="alert" className="font-hand text-lead text-rose border-l-3 border-rose pl-3">
        {name}: {reply.problem}
      </p>
    );
  const { trial, unit } = reply;
  const made = trial.strokes.filter(({ doing }) => doing !== 'leaves');
  const upTo = done ?? made.length;
  const reached = new Set(made.slice(0, upTo));
  const show = (mm: number) => showLength(Math.round(mm * UM.mm), units);
  const room = Math.max(width, height) * 0.03;
  return (
    <div className="space-y-2" data-testid="machine" data-strokes={made.length} data-beyond={trial.beyond}>
      <svg
        viewBox={`${-room} ${-room} ${width + 2 * room} ${height + 2 * room}`}
        className="w-full max-h-[52vh]"
        role="img"
        aria-label={`${name} on a bed of ${Math.round(width)} × ${Math.round(height)} mm: ${made.length} lines, ${trial.beyond} of them off the bed`}
      >
        <rect width={width} height={height} rx={room / 3} fill="var(--oat)" stroke="var(--line)" strokeWidth={0.8} />
        {made.map(
          (stroke, index) =>
            stroke.doing === 'cuts' &&
            stroke.closed &&
            reached.has(stroke) && <path key={index} d={pathOf(stroke, height)} fill="var(--leaf)" stroke="none" />,
        )}
        {trial.strokes.map((stroke, index) => {
          const { doing, beyond } = stroke;
          const look = LOOKS[doing];
          const waits = doing !== 'leaves' && !reached.has(stroke);
          return (
            <path
              key={index}
              d={pathOf(stroke, height)}
              fill="none"
              stroke={beyond && doing !== 'leaves' ? 'var(--rose)' : look.stroke}
              strokeWidth={beyond && doing !== 'leaves' ? 1.6 : look.width}
              strokeDasharray={look.dash}
              opacity={waits ? 0.18 : 1}
            />
          );
        })}
      </svg>
      <label className="flex items-center gap-3 text-note">
        <span className="whitespace-nowrap">the blade, line by line</span>
        <input
          type="range"
          min={0}
          max={made.length}
          value={upTo}
          onChange={({ target }) => setDone(Number(target.value))}
          className="flex-1 min-h-touch accent-moss"
        />
        <output className="tabular-nums whitespace-nowrap">
          {upTo} of {made.length}
        </output>
      </label>
      <p className="text-note" data-testid="trial">
        Cuts {show(trial.cut)}, scores and folds {show(trial.scored)}, moves {show(trial.travel)} above the work. The file counts in {unit}
        {reply.size ? `, and is ${show(reply.size.width)} by ${show(reply.size.height)}` : ''}.
      </p>
      {trial.beyond > 0 && (
        <p role="alert" className="font-hand text-body text-rose">
          {trial.beyond} {trial.beyond === 1 ? 'line runs' : 'lines run'} off the bed: the machine would stop there, or cut its own mat.
        </p>
      )}
    </div>
  );
};
