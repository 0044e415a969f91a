import { type Doll, STATURES } from '@parlor/core/doll';
import { Picker } from '../../ui/index.ts';

const PEOPLE = [...STATURES.map(({ name }) => ({ value: name, label: name })), { value: 'other', label: 'somebody else' }];

type Props = { readonly doll: Doll; readonly label: string; readonly onChange: (words: string, change: Partial<Doll>) => void };

/** Whom a doll stands for; with a person of the table comes the stature. */
export const StandsFor = ({ doll, label, onChange }: Props) => (
  <Picker
    label={label}
    value={STATURES.some(({ name }) => name === doll.standsFor) ? doll.standsFor : 'other'}
    options={PEOPLE}
    onChange={(name) => {
      const person = STATURES.find((each) => each.name === name);
      onChange(`whom ${doll.name} stands for`, person ? { standsFor: name, stature: person.stature } : { standsFor: 'somebody else' });
    }}
  />
);
