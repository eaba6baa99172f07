import type { OnePhasePoint } from "../../api/client";
import { n } from "../../lib/format";

type Box = NonNullable<OnePhasePoint["box"]>;

const columns = ["1", "2", "3"] as const;
const upper = ["W2", "U2", "V2"] as const;
const lower = ["U1", "V1", "W1"] as const;
const at = (i: number) => 26 + i * 40;

/** Terminal box of a motor as it comes and as it has to be: bridges in star, then in delta. */
export function TerminalBoxPicture({ box, name }: { readonly box: Box; readonly name: string }) {
  return (
    <figure className="mr-6">
      <figcaption className="text-[12px] text-soft">Terminal box of {name}</figcaption>
      <div className="flex items-end gap-3">
        {box.canLink ? (
          <>
            <Links star volts={box.starV} isNow={!box.isDelta} text={`${name}: star for ${n(box.starV)} V`} />
            <Links star={false} volts={box.deltaV} isNow={box.isDelta} text={`${name}: delta for ${n(box.deltaV)} V`} />
          </>
        ) : (
          <p className={`w-64 border-l-4 pl-2 text-[12px] ${box.fits ? "border-plum" : "border-fails"}`}>
            {box.fits
              ? `Made for ${n(box.linkedV)} V alone, which is the supply’s: nothing to link anew.`
              : `Made for ${n(box.linkedV)} V alone: a star made inside needs its winding ends brought out by a workshop.`}
          </p>
        )}
      </div>
    </figure>
  );
}

function Links({
  star,
  volts,
  isNow,
  text,
}: {
  readonly star: boolean;
  readonly volts: number;
  readonly isNow: boolean;
  readonly text: string;
}) {
  return (
    <svg width={134} height={104} role="img" aria-label={`${text}${isNow ? ", as linked now" : ""}`}>
      <rect
        x={1}
        y={1}
        width={130}
        height={78}
        rx={3}
        fill={isNow ? "#efe6f1" : "#ffffff"}
        stroke={isNow ? "#6b2d73" : "#b9b3bf"}
        strokeWidth={isNow ? 2 : 1}
      />
      {star ? (
        <rect x={at(0) - 5} y={20} width={at(2) - at(0) + 10} height={7} fill="#b0762a" />
      ) : (
        columns.map((c, i) => <rect key={c} x={at(i) - 4} y={20} width={8} height={42} fill="#b0762a" />)
      )}
      {columns.map((c, i) => (
        <g key={c} fontSize={10} textAnchor="middle" fill="#1f1b24">
          <circle cx={at(i)} cy={23.5} r={5} fill="#fff" stroke="#1f1b24" />
          <circle cx={at(i)} cy={58} r={5} fill="#fff" stroke="#1f1b24" />
          <text x={at(i)} y={14}>
            {upper[i]}
          </text>
          <text x={at(i)} y={75}>
            {lower[i]}
          </text>
        </g>
      ))}
      <text x={66} y={95} textAnchor="middle" fontSize={11} fill="#1f1b24" fontWeight={isNow ? 700 : 400}>
        {star ? "star" : "delta"}, {n(volts)} V{isNow ? ", now" : ""}
      </text>
    </svg>
  );
}
