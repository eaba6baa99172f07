import { useEffect, useState, type ReactNode } from "react";
import { Group, Panel, Separator } from "react-resizable-panels";
import { useMedia } from "../../lib/useMedia";

const widthKey = "cuadrilla.bench-width";
const usualWidthPx = 372;

/** The width of the bench as it was left here, px. */
function keptWidth(): number {
  const kept = Number(localStorage.getItem(widthKey));
  return kept >= 300 && kept <= 1400 ? kept : usualWidthPx;
}

/**
 * The middle and, at its right, the bench: beside it with an edge to drag or to move by arrow keys; on a narrow window
 * over it, when it is asked for.
 */
export function Beside({
  children,
  bench,
  isOpen,
  onOpen,
}: {
  readonly children: ReactNode;
  readonly bench: ReactNode;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
}) {
  const isNarrow = useMedia("(max-width: 1099px)");
  const [width] = useState(keptWidth);
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      if (event.ctrlKey && event.altKey && event.code.startsWith("Digit")) {
        onOpen(true);
      }
    };
    window.addEventListener("keydown", onKey, { capture: true });
    return () => window.removeEventListener("keydown", onKey, { capture: true });
  }, [onOpen]);
  const isBeside = bench && !isNarrow;
  return (
    <div className="relative flex min-w-0 flex-1">
      <Group orientation="horizontal" className="min-w-0 flex-1">
        <Panel id="middle" minSize={320}>
          {children}
        </Panel>
        {isBeside && (
          <>
            <Separator
              aria-label="Width of the bench"
              className="w-1.5 bg-rule outline-none hover:bg-plum focus-visible:bg-plum"
            />
            <Panel
              id="bench-panel"
              defaultSize={width}
              minSize={300}
              maxSize="70%"
              groupResizeBehavior="preserve-pixel-size"
              onResize={({ inPixels }) => localStorage.setItem(widthKey, String(Math.round(inPixels)))}
            >
              {bench}
            </Panel>
          </>
        )}
      </Group>
      {bench && isNarrow && (
        <>
          {isOpen && (
            <div className="absolute inset-y-0 right-0 z-20 w-[min(400px,92%)] border-l border-rule shadow-lg">
              {bench}
            </div>
          )}
          <button
            type="button"
            className="button absolute right-2 bottom-2 z-30"
            aria-expanded={isOpen}
            onClick={() => onOpen(!isOpen)}
          >
            {isOpen ? "Close the bench" : "Bench"}
          </button>
        </>
      )}
    </div>
  );
}
