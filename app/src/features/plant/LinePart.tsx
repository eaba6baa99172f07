import type { KeyboardEvent, ReactNode } from "react";
import type { Verdict } from "../../api/client";
import { verdictWords } from "../../lib/verdict";

export const ink = "#1f1b24";
export const soft = "#5a5361";
export const plum = "#6b2e5f";

/** Words on a ground of their own, so that no line drawn before runs through them. */
export const onGround = { paintOrder: "stroke", stroke: "#fbf9f5", strokeWidth: 4, strokeLinejoin: "round" } as const;

const colours: Readonly<Record<Verdict, string>> = {
  holds: "#33638f",
  tight: "#b27a12",
  fails: "#b0352b",
  "needs-data": soft,
  "not-applicable": soft,
};

/** An element of the drawing: a click or Enter opens its entries; its verdict stands beside it as shape. */
export function Part({
  name,
  verdict,
  at,
  hit: [x, y, width, height],
  onOpen,
  children,
}: {
  readonly name: string;
  readonly verdict?: Verdict | undefined;
  readonly at?: readonly [number, number];
  /** Left, top, width and height of the area that a pointer hits, gaps and labels included. */
  readonly hit: readonly [number, number, number, number];
  readonly onOpen: () => void;
  readonly children: ReactNode;
}) {
  const open = (event: KeyboardEvent) => {
    if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      onOpen();
    }
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={verdict ? `${name}, ${verdictWords[verdict]}` : name}
      className="cursor-pointer outline-none focus-visible:[filter:drop-shadow(0_0_2px_#6b2e5f)]"
      onClick={onOpen}
      onKeyDown={open}
    >
      <rect x={x} y={y} width={width} height={height} fill="transparent" />
      {children}
      {verdict && at && verdict !== "not-applicable" && <Shape verdict={verdict} x={at[0]} y={at[1]} />}
    </g>
  );
}

function Shape({ verdict, x, y }: { readonly verdict: Verdict; readonly x: number; readonly y: number }) {
  const colour = colours[verdict];
  switch (verdict) {
    case "holds":
      return <circle cx={x} cy={y} r="4.5" fill={colour} />;
    case "tight":
      return <path d={`M${x} ${y - 5}L${x + 5} ${y + 4}H${x - 5}Z`} fill={colour} />;
    case "fails":
      return (
        <path
          d={`M${x - 4.5} ${y - 4.5}h9v9h-9ZM${x - 2.5} ${y - 2.5}l5 5m0 -5l-5 5`}
          fill={colour}
          stroke="white"
          strokeWidth="1.2"
        />
      );
    default:
      return <circle cx={x} cy={y} r="4" fill="none" stroke={colour} strokeDasharray="2 1.5" strokeWidth="1.5" />;
  }
}
