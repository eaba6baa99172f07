import { useState } from "react";
import { api, type ParameterRow } from "../../api/client";
import { useUnits } from "../../fields/useUnits";
import { who } from "../../project/useProjectAccess";
import { usUnitOf } from "./commissioning";

const bases: Readonly<Record<ParameterRow["basis"], string>> = {
  specified: "specified",
  computed: "computed",
  proposed: "proposed",
  "needs-data": "needs data",
  "on-site": "on site",
};

/** A row of a parameter sheet; its own number is kept when it is left. */
export function ParameterLine({
  row,
  product,
  tag,
  onKept,
  onCell,
}: {
  readonly row: ParameterRow;
  readonly product: string;
  readonly tag: string;
  readonly onKept: () => void;
  readonly onCell: () => void;
}) {
  const units = useUnits();
  const [own, setOwn] = useState({ number: row.ownNumber, factor: String(row.factor) });
  const [problem, setProblem] = useState<string>();
  const keep = async () => {
    const factor = Number(own.factor.replace(",", "."));
    if (own.number.trim() === row.ownNumber && factor === row.factor) {
      setProblem(undefined);
      return;
    }
    const { data, error } = await api.POST("/api/parameter-numbers", {
      body: {
        who: who(),
        product,
        numbers: [{ parameter: row.id, ownNumber: own.number.trim(), ownUnit: row.ownUnit, factor }],
      },
    });
    setProblem(data ? undefined : (error.errors[0]?.message ?? error.detail));
    if (data) {
      onKept();
    }
  };
  const value = row.number === null ? row.value : units.entered(row.number, row.unit, usUnitOf(row.id));
  return (
    <tr className={row.was !== null ? "bg-plum-wash" : undefined}>
      <td>{row.name}</td>
      <td className={row.number === null ? "max-w-48" : "num whitespace-nowrap"}>
        {value === "" ? "–" : value}
        {row.was !== null && (
          <span className="block text-[12px] text-soft">
            was {row.was === "" ? "not there" : units.sentence(`${row.was} ${row.unit}`)}
          </span>
        )}
      </td>
      <td
        className={`whitespace-nowrap ${row.basis === "needs-data" ? "font-semibold" : row.basis === "proposed" ? "italic" : ""}`}
      >
        {bases[row.basis]}
      </td>
      <td className="text-[12px]">
        <button
          type="button"
          className="text-left hover:underline"
          title={`${row.reason.formula}. ${row.reason.source}`}
          onClick={onCell}
        >
          {units.sentence(row.reason.withNumbers)}
        </button>
        {row.scaling !== "" && <span className="block text-soft">{units.sentence(row.scaling)}</span>}
      </td>
      <td>
        <input
          className="entry w-20"
          aria-label={`Own number of ${tag} ${row.name}`}
          maxLength={40}
          disabled={product === ""}
          value={own.number}
          onChange={(e) => setOwn({ ...own, number: e.target.value })}
          onBlur={() => void keep()}
        />
        {problem && (
          <p role="alert" className="text-[12px] text-fails">
            {problem}
          </p>
        )}
      </td>
      <td className="num">
        {own.number.trim() !== "" && row.number !== null && (
          <input
            className="entry w-14 text-right font-mono"
            aria-label={`Factor of ${tag} ${row.name}`}
            inputMode="decimal"
            value={own.factor}
            onChange={(e) => setOwn({ ...own, factor: e.target.value })}
            onBlur={() => void keep()}
          />
        )}
      </td>
      <td className="num">{row.ownValue}</td>
      <td className="whitespace-nowrap">
        {row.left}
        {row.leftOn !== "" && <span className="block text-[12px] text-soft">{row.leftOn}</span>}
      </td>
    </tr>
  );
}
