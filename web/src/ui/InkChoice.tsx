import { useSet } from '../state/index.ts';
import { cx } from './cx.ts';

/** A row of the palette's colours; the first keeps the pattern's own. */
export const InkChoice = ({
  label,
  value,
  usual,
  onChange,
}: {
  readonly label: string;
  readonly value: string | null;
  readonly usual: string | null;
  readonly onChange: (ink: string | null) => void;
}) => {
  const { palette } = useSet();
  const dab = (colour: string, on: boolean) =>
    cx('size-8 rounded-full border-2', on ? 'border-ink ring-2 ring-paper ring-inset' : 'border-tab') + (colour ? '' : '');
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap items-center gap-1.5">
      <span className="text-small text-graphite w-24 shrink-0">{label}</span>
      {usual !== null && (
        <button
          type="button"
          role="radio"
          aria-checked={value === null}
          aria-label={`${label}: the pattern’s own`}
          title="the pattern’s own"
          onClick={() => onChange(null)}
          className={cx(dab(usual, value === null), 'border-dashed')}
          style={{ background: usual }}
        />
      )}
      {palette.map(({ id, name, colour }) => (
        <button
          key={id}
          type="button"
          role="radio"
          aria-checked={value === id}
          aria-label={`${label}: ${name}`}
          title={name}
          onClick={() => onChange(id)}
          className={dab(colour, value === id)}
          style={{ background: colour }}
        />
      ))}
    </div>
  );
};
