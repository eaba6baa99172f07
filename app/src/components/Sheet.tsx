import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

const widths = { narrow: "w-[560px]", wide: "w-[720px]", full: "w-[1160px]" } as const;

/** A dialog of the app. */
export function Sheet({
  title,
  open,
  onClose,
  size = "narrow",
  children,
}: {
  readonly title: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly size?: keyof typeof widths;
  readonly children: ReactNode;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed left-1/2 top-16 z-50 max-h-[80vh] -translate-x-1/2 overflow-auto rounded border border-rule bg-panel p-4 shadow-lg ${widths[size]}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Dialog.Title className="text-[16px] font-bold">{title}</Dialog.Title>
            <Dialog.Close className="button">Close</Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
