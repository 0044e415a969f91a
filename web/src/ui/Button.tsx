import type { ButtonHTMLAttributes, Ref } from 'react';
import { cx } from './cx.ts';

type Props = ButtonHTMLAttributes<HTMLButtonElement> & {
  readonly look?: 'plain' | 'main' | 'quiet';
  readonly ref?: Ref<HTMLButtonElement>;
};

const LOOKS = {
  plain: 'bg-oat hover:bg-tab text-ink',
  main: 'bg-rose text-leaf hover:brightness-110',
  quiet: 'text-graphite hover:bg-oat hover:text-ink',
} as const;

/** A thing to press, large enough for a gluey finger. */
export const Button = ({ look = 'plain', className, ...rest }: Props) => (
  <button
    type="button"
    {...rest}
    className={cx(
      'min-h-touch px-4 rounded-full text-note inline-flex items-center justify-center gap-2 whitespace-nowrap transition-colors duration-quick disabled:opacity-50 disabled:cursor-not-allowed',
      LOOKS[look],
      className,
    )}
  />
);
