import type { CabinetAnswer } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { leftEdges, type Section, type Unit } from "./cabinets";

const marginMm = 140;
const behindMm = 100;
const usualAisleMm = 1000;

interface Props {
  readonly answer: CabinetAnswer;
  readonly chosen: string | undefined;
  readonly onChoose: (unit: string) => void;
}

/** The section of the chosen unit, or the fullest one, from the side; and all of them from above with the way in front. */
export function SideAndPlan({ answer, aisleMm, chosen, onChoose }: Props & { readonly aisleMm: number | null }) {
  const withUnits = [...answer.sections].sort((a, b) => b.units.length - a.units.length);
  const section = answer.sections.find((s) => s.units.some((u) => u.id === chosen)) ?? withUnits[0];
  return (
    <div className="grid grid-cols-[14rem_minmax(0,1fr)] gap-x-6">
      {section && <Side answer={answer} section={section} chosen={chosen} onChoose={onChoose} />}
      <Plan answer={answer} aisleMm={aisleMm ?? usualAisleMm} chosen={chosen} onChoose={onChoose} />
    </div>
  );
}

function Side({ answer, section, chosen, onChoose }: Props & { readonly section: Section }) {
  const { say } = useUnits();
  const { depthMm, heightMm, plinthMm } = answer;
  const top = marginMm + heightMm;
  return (
    <section aria-label="Side section">
      <h3 className="section-title">Section {section.number} from the side</h3>
      <svg
        viewBox={`0 0 ${depthMm + 2 * marginMm} ${top + plinthMm + marginMm}`}
        className="max-h-[300px] w-full"
        role="group"
        aria-label={`Section ${section.number} from the side, ${say(depthMm, "mm")} deep`}
        fontFamily="sans-serif"
      >
        <rect
          x={marginMm}
          y={marginMm}
          width={depthMm}
          height={heightMm}
          fill="#fffdf9"
          stroke="#221f26"
          strokeWidth={8}
        />
        <rect x={marginMm} y={top} width={depthMm} height={plinthMm} fill="#d8d2c6" stroke="#221f26" strokeWidth={4} />
        <text x={marginMm} y={marginMm - 40} fontSize={72} fill="#5b5560">
          front
        </text>
        <text x={marginMm + depthMm} y={top + plinthMm + 100} fontSize={72} textAnchor="end" fill="#5b5560">
          {say(depthMm, "mm")}
        </text>
        {section.units.map((u) => (
          <Face
            key={u.id}
            unit={u}
            isChosen={u.id === chosen}
            onChoose={onChoose}
            x={marginMm + frontOf(answer, u)}
            y={top - u.bottomMm - u.heightMm}
            width={u.depthMm}
            height={u.heightMm}
          />
        ))}
      </svg>
    </section>
  );
}

function Plan({ answer, aisleMm, chosen, onChoose }: Props & { readonly aisleMm: number }) {
  const { say } = useUnits();
  const lefts = leftEdges(answer.sections);
  const { depthMm, widthMm } = answer;
  return (
    <section aria-label="Floor plan">
      <h3 className="section-title">Floor plan</h3>
      <svg
        viewBox={`0 0 ${widthMm + 2 * marginMm} ${depthMm + aisleMm + 2 * marginMm}`}
        className="max-h-[300px] w-full"
        role="group"
        aria-label={`Floor plan, ${say(widthMm, "mm")} by ${say(depthMm, "mm")}, ${say(aisleMm, "mm")} free in front`}
        fontFamily="sans-serif"
      >
        <rect
          x={marginMm}
          y={marginMm + depthMm}
          width={widthMm}
          height={aisleMm}
          fill="none"
          stroke="#5b5560"
          strokeWidth={6}
          strokeDasharray="40 24"
        />
        <text x={marginMm + 40} y={marginMm + depthMm + aisleMm / 2} fontSize={80} fill="#5b5560">
          way in front, {say(aisleMm, "mm")} free
        </text>
        {answer.sections.map((s, i) => {
          const left = marginMm + (lefts[i] ?? 0);
          return (
            <g key={s.number}>
              <rect
                x={left}
                y={marginMm}
                width={s.widthMm}
                height={depthMm}
                fill="#fffdf9"
                stroke="#221f26"
                strokeWidth={8}
              />
              <text x={left + s.widthMm / 2} y={marginMm - 36} fontSize={76} textAnchor="middle" fill="#221f26">
                {s.number}
              </text>
              {s.units.map((u) => (
                <Face
                  key={u.id}
                  unit={u}
                  isChosen={u.id === chosen}
                  onChoose={onChoose}
                  x={left + u.leftMm}
                  y={marginMm + depthMm - frontOf(answer, u) - u.depthMm}
                  width={u.widthMm}
                  height={u.depthMm}
                />
              ))}
            </g>
          );
        })}
      </svg>
    </section>
  );
}

/** Units hang on the plate at the back. */
const frontOf = (answer: CabinetAnswer, unit: Unit) => Math.max(0, answer.depthMm - behindMm - unit.depthMm);

function Face({
  unit,
  isChosen,
  onChoose,
  ...box
}: {
  readonly unit: Unit;
  readonly isChosen: boolean;
  readonly onChoose: (unit: string) => void;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}) {
  return (
    <rect
      {...box}
      aria-hidden
      className="cursor-pointer"
      fill={isChosen ? "#e6dbe6" : "#ffffff"}
      stroke={isChosen ? "#6b2d5c" : "#2f5f8f"}
      strokeWidth={isChosen ? 14 : 6}
      onClick={() => onChoose(unit.id)}
    >
      <title>{unit.name}</title>
    </rect>
  );
}
