import { createContext, useContext } from "react";
import { n } from "../lib/format";
import { unitTable } from "./unitTable";
import { inUnit, nameOf, quantityIn, type Quantity, type UnitSystem } from "./units";

/** How a project shows figures; everything comes and goes in SI. */
export interface Units {
  readonly system: UnitSystem;
  /** The quantity kept in a unit, as shown here. */
  readonly quantity: (kept: string, us?: string) => Quantity;
  /** Unit shown for what is kept in another. */
  readonly unit: (kept: string, us?: string) => string;
  /** A kept value in the unit shown. */
  readonly value: (value: number, kept: string, us?: string) => number;
  /** A kept value with its unit. */
  readonly say: (value: number | null | undefined, kept: string, digits?: number, us?: string) => string;
  /** The same as it was entered, without needless zeros, four digits at most. */
  readonly entered: (value: number, kept: string, us?: string) => string;
  /** A sentence of the server, which speaks SI. */
  readonly sentence: (text: string) => string;
}

const suffix = ({ unit, unnamed = unit }: Quantity): string => (unnamed === "" ? "" : ` ${unnamed}`);

const make = (system: UnitSystem): Units => {
  const quantity = (kept: string, us?: string) => quantityIn(system, kept, us);
  const say = (value: number | null | undefined, kept: string, digits = 3, us?: string) => {
    if (value === null || value === undefined) {
      return "–";
    }
    const q = quantity(kept, us);
    return nameOf(value, q) ?? `${n(inUnit(value, q), digits)}${suffix(q)}`;
  };
  return {
    system,
    quantity,
    unit: (kept, us) => quantity(kept, us).unit,
    value: (value, kept, us) => inUnit(value, quantity(kept, us)),
    say,
    entered: (value, kept, us) => {
      const q = quantity(kept, us);
      return nameOf(value, q) ?? `${String(Number(inUnit(value, q).toPrecision(4)))}${suffix(q)}`;
    },
    sentence: (text) =>
      system === "si"
        ? text
        : text.replace(sentences, (match, from: string | undefined, to: string, kept: string) => {
            const q = quantity(kept);
            if (from !== undefined && q.names) {
              // Ranges of sizes are told in numbers.
              return match;
            }
            const said = say(number(to), kept, digitsOf(to));
            return from === undefined ? said : `${n(inUnit(number(from), q), digitsOf(from))} to ${said}`;
          }),
  };
};

// Units in sentences: those whose meaning needs no context. Flow may be of air or water, kW of shaft or line: these stay.
const plainUnits = unitTable
  .filter((q) => "us" in q && !q.kept.startsWith("m³/") && !("shown" in q))
  .map((q) => q.kept.replace(/[/²³·°]/g, "\\$&"))
  .sort((a, b) => b.length - a.length);
const sentences = new RegExp(
  `(?<![\\w.·/^√(])(?:([−-]?\\d+(?:\\.\\d+)?) to )?([−-]?\\d+(?:\\.\\d+)?) (${plainUnits.join("|")})(?![\\w²³/·°^])`,
  "g",
);
const number = (text: string) => Number(text.replace("−", "-"));
// As many as it had, three at least.
const digitsOf = (text: string) => Math.max(3, text.replace(/\D/g, "").length);

const systems: Readonly<Record<UnitSystem, Units>> = { si: make("si"), "us-customary": make("us-customary") };

/** Units of a project. */
export const unitsOf = (system: UnitSystem | undefined): Units => systems[system ?? "si"];

export const UnitsContext = createContext<Units>(systems.si);

/** Units of the project around. */
export const useUnits = (): Units => useContext(UnitsContext);
