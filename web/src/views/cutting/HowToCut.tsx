import { dollUm, UM } from '@parlor/core/measure';
import type { SetDocument } from '@parlor/core/set';
import { useEdit, useSet } from '../../state/index.ts';
import { Choice, GapHelp, Picker, SizeField } from '../../ui/index.ts';

type Cutting = SetDocument['cutting'];
type Trim = Cutting['trim'];

const MODES = [
  { value: 'straight', label: 'from edge to edge' },
  { value: 'free', label: 'anywhere' },
] as const;

const FIRST = [
  { value: 'money', label: 'little money' },
  { value: 'sheets', label: 'few sheets' },
] as const;

const THEN = [
  { value: 'rest', label: 'one large rest' },
  { value: 'settings', label: 'few settings of the rule' },
] as const;

const SPLICES = [
  { value: 'join', label: 'are joined' },
  { value: 'leave', label: 'are left' },
] as const;

const JOINTS = [
  { value: 'best', label: 'best way' },
  { value: 'upright', label: 'upright' },
  { value: 'lying', label: 'lying' },
] as const;

const EDGES = ['left', 'right', 'bottom', 'top'] as const;

/** How the knife goes: what it takes, what is trimmed first, and whether every cut runs from edge to edge. */
export const HowToCut = () => {
  const { cutting } = useSet();
  const edit = useEdit();
  const change = (words: string, part: Partial<Cutting>) =>
    edit(words, { kind: 'change-set', change: { cutting: { ...cutting, ...part } } });
  const { trim } = cutting;
  const alike = new Set(EDGES.map((edge) => trim[edge])).size === 1;
  return (
    <section aria-label="How you cut" className="space-y-3 max-w-md">
      <h2 className="text-head">How you cut</h2>
      <Choice
        label="Cuts run"
        value={cutting.mode}
        options={MODES}
        onChange={(mode) => change('how cuts run', { mode })}
        hint={
          cutting.mode === 'straight'
            ? 'Along a rule, through the whole piece: quick and true.'
            : 'Round each part by itself: saves board now and then, takes longer.'
        }
      />
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          label="Knife gap between parts"
          help={<GapHelp />}
          world="doll"
          lengthUm={cutting.gap}
          max={10 * UM.mm}
          onChange={(gap) => change('the knife gap', { gap: gap as Cutting['gap'] })}
          hint="What a cut takes away or frays."
        />
        <SizeField
          label={alike ? 'Trim off each sheet edge' : 'Trim off the left edge'}
          world="doll"
          lengthUm={trim.left}
          max={50 * UM.mm}
          onChange={(all) =>
            change('the trim', {
              trim: alike
                ? { left: dollUm(all), right: dollUm(all), top: dollUm(all), bottom: dollUm(all) }
                : { ...trim, left: all as Trim['left'] },
            })
          }
          hint="Bought edges are often dented."
        />
      </div>
      <details open={!alike}>
        <summary className="text-note underline underline-offset-4 decoration-dotted min-h-touch flex items-center">
          each edge by itself
        </summary>
        <div className="grid grid-cols-3 gap-5">
          {EDGES.slice(1).map((edge) => (
            <SizeField
              key={edge}
              label={`Trim, ${edge}`}
              world="doll"
              lengthUm={trim[edge]}
              max={50 * UM.mm}
              onChange={(wide) => change(`the trim at the ${edge}`, { trim: { ...trim, [edge]: wide } })}
            />
          ))}
        </div>
      </details>
      <div className="grid grid-cols-2 gap-5">
        <Picker
          label="What counts first"
          value={cutting.wishes.first}
          options={FIRST}
          onChange={(first) => change('what counts first', { wishes: { ...cutting.wishes, first: first as Cutting['wishes']['first'] } })}
        />
        <Picker
          label="and then"
          value={cutting.wishes.next}
          options={THEN}
          onChange={(next) => change('what counts then', { wishes: { ...cutting.wishes, next: next as Cutting['wishes']['next'] } })}
        />
      </div>
      <Choice
        label="Parts larger than every sheet"
        value={cutting.splice}
        options={SPLICES}
        onChange={(splice) => change('what is larger than a sheet', { splice })}
        hint={
          cutting.splice === 'join'
            ? 'Joints run behind what stands there, a strip of board behind each; what lies on the ground gets a second layer instead.'
            : 'They are listed for you to cut as you like.'
        }
      />
      {cutting.splice === 'join' && (
        <Choice
          label="Joints in walls and other upright parts"
          value={cutting.joints}
          options={JOINTS}
          onChange={(joints) => change('how joints run', { joints })}
        />
      )}
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          fine
          label="Saw cut through sticks"
          world="doll"
          lengthUm={cutting.kerf}
          max={5 * UM.mm}
          onChange={(kerf) => change('the saw cut', { kerf: kerf as Cutting['kerf'] })}
          hint="What each cut turns into dust."
        />
        <SizeField
          label="Keep offcuts from"
          world="doll"
          lengthUm={cutting.keep}
          min={5 * UM.mm}
          max={UM.m}
          onChange={(keep) => change('which offcuts are kept', { keep: keep as Cutting['keep'] })}
          hint="On both sides; the rest is scrap."
        />
      </div>
    </section>
  );
};
