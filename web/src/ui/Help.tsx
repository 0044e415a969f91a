import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

type Props = { readonly about: string; readonly children: ReactNode; readonly drawing?: ReactNode };

/** A small question mark beside a field that needs craft knowledge: a few words, and a drawing where a drawing says it better. */
export const Help = ({ about, children, drawing }: Props) => (
  <Popover.Root>
    <Popover.Trigger
      aria-label={`What is meant by ${about}`}
      className="relative ml-1.5 -my-1 size-6 rounded-full border border-line text-graphite text-small leading-none hover:bg-oat hover:text-ink before:absolute before:-inset-2.5 before:content-['']"
    >
      ?
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        sideOffset={6}
        collisionPadding={12}
        className="z-30 w-80 max-w-[calc(100vw-24px)] bg-leaf text-ink border border-line rounded-soft shadow-slip p-4 space-y-3 text-body"
      >
        <h3 className="text-lead">{about[0]?.toUpperCase() + about.slice(1)}</h3>
        {drawing}
        <div className="space-y-2 text-note">{children}</div>
        <Popover.Close className="min-h-touch px-3 -ml-3 -mb-2 underline underline-offset-4 text-note">put it away</Popover.Close>
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
);
