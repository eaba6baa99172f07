import { Dialog } from "radix-ui";
import { useState, type ReactNode } from "react";

const widths = { narrow: "w-[560px]", wide: "w-[720px]", full: "w-[1160px]" } as const;

/** A dialog of the app. */
export function Sheet({
  title,
  onClose,
  size = "narrow",
  children,
}: {
  readonly title: string;
  readonly onClose: () => void;
  readonly size?: keyof typeof widths;
  readonly children: ReactNode;
}) {
  // The focus goes back to what opened it, or to the page where that is gone.
  const [opener] = useState(() => document.activeElement);
  const giveBack = (event: Event) => {
    event.preventDefault();
    if (document.activeElement !== null && document.activeElement !== document.body) {
      return; // What the sheet did has put it where work goes on.
    }
    const back = opener?.isConnected && opener !== document.body ? opener : document.querySelector("main");
    (back as HTMLElement | null)?.focus();
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={giveBack}
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
