import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { cx } from './cx.ts';

type Props = {
  readonly title: string;
  readonly open: boolean;
  readonly onOpenChange: (open: boolean) => void;
  readonly children: ReactNode;
  /** For pictures: as wide as the table allows. */
  readonly wide?: boolean;
};

/** A sheet of paper laid over the table for as long as it is read. */
export const Sheet = ({ title, open, onOpenChange, children, wide = false }: Props) => (
  <Dialog.Root open={open} onOpenChange={onOpenChange}>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30 night:bg-table/70" />
      <Dialog.Content
        aria-describedby={undefined}
        className={cx(
          wide ? 'w-[min(1120px,calc(100vw-24px))] h-[calc(100dvh-48px)]' : 'w-[min(640px,calc(100vw-24px))]',
          'fixed z-50 left-1/2 top-1/2 -translate-x-1/2 -translate-y-1/2 max-h-[calc(100dvh-48px)] overflow-y-auto bg-leaf text-ink rounded-leaf shadow-slip p-7',
        )}
      >
        <div className="flex items-start justify-between gap-4 mb-4">
          <Dialog.Title className="text-head">{title}</Dialog.Title>
          <Dialog.Close aria-label="Put it away" className="size-11 -mt-2 -mr-3 rounded-full hover:bg-oat text-lead">
            ✕
          </Dialog.Close>
        </div>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);
