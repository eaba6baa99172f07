import { useRef } from "react";
import type { CabinetAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { saveSvg } from "../../lib/saveSvg";
import { leftEdges, type Unit } from "./cabinets";

const headMm = 190;
const footMm = 330;
const sideMm = 260;
const stepMm = 500;

/** Front elevation to scale, doors off; a unit that is chosen stands out. */
export function Elevation({
  answer,
  name,
  files,
  chosen,
  onChoose,
}: {
  readonly answer: CabinetAnswer;
  readonly name: string;
  /** Address of the drawing, without its ending. */
  readonly files: string;
  readonly chosen: string | undefined;
  readonly onChoose: (unit: string) => void;
}) {
  const { say } = useUnits();
  const drawing = useRef<SVGSVGElement>(null);
  const { sections, plinthMm, heightMm, widthMm } = answer;
  const lefts = leftEdges(sections);
  const floor = headMm + heightMm + plinthMm;
  const bottomOf = (aboveMm: number) => floor - plinthMm - aboveMm;
  const heights = Array.from({ length: Math.floor((heightMm + plinthMm) / stepMm) + 1 }, (_, i) => i * stepMm);
  return (
    <section aria-label="Front elevation">
      <h3 className="section-title flex items-center gap-3">
        Front elevation
        <button type="button" className="button font-normal" onClick={() => saveSvg(drawing.current, name)}>
          Save as SVG
        </button>
        <a className="button font-normal" href={`${files}.dxf`} download>
          DXF
        </a>
        <a className="button font-normal" href={`${files}.pdf`} download>
          PDF
        </a>
      </h3>
      <svg
        ref={drawing}
        xmlns="http://www.w3.org/2000/svg"
        viewBox={`${-sideMm} 0 ${widthMm + sideMm + 60} ${floor + footMm}`}
        className="max-h-[430px] w-full"
        role="group"
        aria-label={`Front elevation of ${name}, ${sections.length} sections`}
        fontFamily="sans-serif"
      >
        {heights.map((h) => (
          <g key={h}>
            <line x1={-30} x2={0} y1={floor - h} y2={floor - h} stroke="#5b5560" strokeWidth={4} />
            <text x={-40} y={floor - h + 22} fontSize={64} textAnchor="end" fill="#5b5560">
              {say(h, "mm")}
            </text>
          </g>
        ))}
        {sections.map((section, i) => {
          const left = lefts[i] ?? 0;
          const middle = left + section.widthMm / 2;
          const isWarm = section.topC !== null && section.topC > answer.permittedC;
          return (
            <g key={section.number}>
              <rect
                x={left}
                y={headMm}
                width={section.widthMm}
                height={heightMm}
                fill={isWarm ? "#f6e3e0" : "#fffdf9"}
                stroke="#221f26"
                strokeWidth={8}
              />
              <rect
                x={left}
                y={floor - plinthMm}
                width={section.widthMm}
                height={plinthMm}
                fill="#d8d2c6"
                stroke="#221f26"
                strokeWidth={4}
              />
              <text x={middle} y={80} fontSize={76} fontWeight="bold" textAnchor="middle" fill="#221f26">
                {section.number}
              </text>
              <text x={middle} y={162} fontSize={64} textAnchor="middle" fill={isWarm ? "#a32a22" : "#5b5560"}>
                {section.topC === null ? "–" : say(section.topC, "°C")}
              </text>
              {section.units.length === 0 && (
                <text x={middle} y={headMm + heightMm / 2} fontSize={64} textAnchor="middle" fill="#5b5560">
                  {section.kind}
                </text>
              )}
              {section.units.map((unit) => (
                <UnitFace
                  key={unit.id}
                  unit={unit}
                  x={left + unit.leftMm}
                  y={bottomOf(unit.bottomMm) - unit.heightMm}
                  isChosen={chosen === unit.id}
                  onChoose={() => onChoose(unit.id)}
                />
              ))}
              <text x={middle} y={floor + 90} fontSize={64} textAnchor="middle" fill="#5b5560">
                {say(section.widthMm, "mm")}
              </text>
            </g>
          );
        })}
        {answer.transports.map((numbers) => {
          const first = lefts[(numbers[0] ?? 1) - 1] ?? 0;
          const last = (numbers.at(-1) ?? 1) - 1;
          const end = (lefts[last] ?? 0) + (sections[last]?.widthMm ?? 0);
          return (
            <g key={numbers.join()}>
              <path
                d={`M${first + 20} ${floor + 140} v40 H${end - 20} v-40`}
                fill="none"
                stroke="#5b5560"
                strokeWidth={6}
              />
              <text x={(first + end) / 2} y={floor + 270} fontSize={64} textAnchor="middle" fill="#5b5560">
                moved as one
              </text>
            </g>
          );
        })}
      </svg>
    </section>
  );
}

function UnitFace({
  unit,
  x,
  y,
  isChosen,
  onChoose,
}: {
  readonly unit: Unit;
  readonly x: number;
  readonly y: number;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}) {
  const tag = unit.name.split(/[ ,]/)[0] ?? unit.name;
  const size = Math.min(60, (1.5 * unit.widthMm) / Math.max(tag.length, 1));
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={isChosen}
      aria-label={unit.name}
      className="cursor-pointer outline-none focus-visible:[&>rect]:stroke-[20]"
      onClick={onChoose}
      onKeyDown={(e) => {
        if (e.key === "Enter" || e.key === " ") {
          e.preventDefault();
          onChoose();
        }
      }}
    >
      <title>{unit.name}</title>
      <rect
        x={x}
        y={y}
        width={unit.widthMm}
        height={unit.heightMm}
        fill={isChosen ? "#e6dbe6" : "#ffffff"}
        stroke={isChosen ? "#6b2d5c" : "#2f5f8f"}
        strokeWidth={isChosen ? 14 : 6}
        strokeDasharray={unit.byHand ? "30 14" : undefined}
      />
      <text
        x={x + unit.widthMm / 2}
        y={y + unit.heightMm / 2 + size / 3}
        fontSize={size}
        textAnchor="middle"
        fill="#221f26"
      >
        {tag}
      </text>
    </g>
  );
}
