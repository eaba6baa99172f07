import type { DrivePoint } from "../../api/client";

type Link = Extract<DrivePoint["motor"], { kind: "catalogue" }>["connection"];

const top = ["W2", "U2", "V2"] as const;
const bottom = ["U1", "V1", "W1"] as const;
const x = (i: number) => 40 + 60 * i;

/** The links in the six-terminal box: star joins the upper row, delta joins each lower with the one above it. */
export function LinkDrawing({ link }: { readonly link: Link }) {
  const shown = link === "fitting" ? (["star", "delta"] as const) : ([link] as const);
  return (
    <div className="mt-2 flex gap-2" aria-label="Links in the terminal box">
      {shown.map((kind) => (
        <svg
          key={kind}
          width={shown.length === 2 ? 165 : 200}
          viewBox="0 0 200 118"
          role="img"
          aria-label={kind === "star" ? "Star: W2, U2 and V2 joined" : "Delta: U1 to W2, V1 to U2, W1 to V2"}
          className="border border-rule bg-card"
        >
          {kind === "star" ? (
            <path d={`M${x(0)} 36H${x(2)}`} stroke="#6b2e5f" strokeWidth="6" strokeLinecap="round" />
          ) : (
            [0, 1, 2].map((i) => (
              <path key={i} d={`M${x(i)} 36V82`} stroke="#6b2e5f" strokeWidth="6" strokeLinecap="round" />
            ))
          )}
          {[0, 1, 2].map((i) => (
            <g key={i} fontSize="13" textAnchor="middle" fill="#1f1b24">
              <circle cx={x(i)} cy="36" r="8" fill="white" stroke="#1f1b24" strokeWidth="1.5" />
              <circle cx={x(i)} cy="82" r="8" fill="white" stroke="#1f1b24" strokeWidth="1.5" />
              <text x={x(i)} y="20">
                {top[i]}
              </text>
              <text x={x(i)} y="106">
                {bottom[i]}
              </text>
            </g>
          ))}
          <text x="196" y="64" fontSize="12" textAnchor="end" fill="#5a5361">
            {kind}
          </text>
        </svg>
      ))}
    </div>
  );
}
