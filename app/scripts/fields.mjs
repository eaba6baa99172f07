// Makes the table of entries from the OpenAPI document: what each is called, its unit, its range, its help; and the table of units.
import { readFileSync, writeFileSync } from "node:fs";

const { components } = JSON.parse(readFileSync(new URL("../../docs/api/cuadrilla.json", import.meta.url), "utf8"));

// What is usual is left out.
const fieldOf = (schema) => {
  const type = [schema.type].flat();
  const field = schema["x-words"]
    ? { kind: "choice", choices: Object.fromEntries(schema.enum.map((value, i) => [value, schema["x-words"][i]])) }
    : type.includes("boolean")
      ? { kind: "switch" }
      : type.includes("string")
        ? { kind: "text", most: schema.maxLength }
        : {
            kind: "number",
            unit: schema["x-unit"] ?? "",
            min: schema.minimum ?? schema.exclusiveMinimum,
            max: schema.maximum,
            shown: schema["x-shown"],
            us: schema["x-us"],
            aboveMin: schema.exclusiveMinimum !== undefined || undefined,
            whole: type.includes("integer") || undefined,
            optional: type.includes("null") || undefined,
          };
  return {
    name: schema.title,
    help: schema.description,
    ...field,
    whenOpen: schema["x-when-open"],
    helpShown: schema["x-help-shown"] !== undefined || undefined,
  };
};

const table = {};
for (const [name, schema] of Object.entries(components.schemas)) {
  const fields = Object.entries(schema.properties ?? {}).filter(([, s]) => s.title && s.description);
  if (fields.length > 0) {
    table[name] = Object.fromEntries(fields.map(([key, s]) => [key, fieldOf(s)]));
  }
}

writeFileSync(
  new URL("../src/fields/table.ts", import.meta.url),
  `// Generated from the OpenAPI document by scripts/fields.mjs; not edited by hand.
import type { FieldTable } from "./field";

export const fields = ${JSON.stringify(table)} as const satisfies FieldTable;
`,
);

// Units, from the file that the server reads too.
const units = JSON.parse(
  readFileSync(new URL("../../src/Cuadrilla.Documents/Units/units.json", import.meta.url), "utf8"),
);
writeFileSync(
  new URL("../src/fields/unitTable.ts", import.meta.url),
  `// Generated from the server's table of units by scripts/fields.mjs; not edited by hand.
export const unitTable = ${JSON.stringify(units.quantities)} as const;
`,
);
