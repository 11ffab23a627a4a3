import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

type Props = {
  open: boolean;
  /** Without it, only what is inside closes the sheet. */
  onOpenChange?: (open: boolean) => void;
  title: string;
  children: ReactNode;
};

/** A dialog on paper. */
export function Sheet({ open, onOpenChange, title, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 max-h-[92dvh] w-[min(44rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto border border-rule bg-card p-5 lifted"
        >
          <Dialog.Title className="mb-3 text-2xl font-bold">{title}</Dialog.Title>
          {children}
          {onOpenChange && (
            <Dialog.Close className="absolute top-3 right-4 p-2 text-soft hover:text-ink" aria-label="Close">
              ✕
            </Dialog.Close>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
