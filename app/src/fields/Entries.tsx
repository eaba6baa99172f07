import { useContext } from "react";
import { CellChoice, CellQuantity, CellSwitch, CellText } from "../components/CellFields";
import type { Outcome } from "../components/draft";
import { ChoiceField, QuantityField, SwitchField, TextField } from "../components/Fields";
import { openIn, type Quantity } from "./units";
import { AssumedContext } from "./assumed";
import { useUnits } from "./useUnits";
import { editOf, quantityOf, rangeOf, type Field } from "./field";

type Value = number | string | boolean | null | undefined;
type Keys<F, T> = readonly (keyof F & keyof T & string)[];

/** Changes part of a record; what names the edit. */
export type ChangePart<T> = (part: Partial<T>, what: string) => Promise<Outcome>;

/** One entry, described by the table. */
export function Entry({
  field,
  value,
  label = field.name,
  placeholder,
  quantity,
  note: said,
  onCommit,
}: {
  readonly field: Field;
  readonly value: Value;
  readonly label?: string;
  readonly placeholder?: string | undefined;
  readonly quantity?: Quantity;
  readonly note?: string | undefined;
  readonly onCommit: (value: never) => Promise<Outcome>;
}) {
  const units = useUnits();
  const { of, confirm } = useContext(AssumedContext);
  const assumed = of.get(field);
  const commit = onCommit as (value: number | string | boolean | null) => Promise<Outcome>;
  const note = said ?? (field.helpShown ? field.help : undefined);
  if (field.kind === "text") {
    return <TextField label={label} note={note} help={field.help} value={String(value ?? "")} onCommit={commit} />;
  }
  if (field.kind === "switch") {
    return <SwitchField label={label} note={note} help={field.help} value={value === true} onCommit={commit} />;
  }
  if (field.kind === "choice") {
    return (
      <ChoiceField
        label={label}
        note={note}
        help={field.help}
        value={String(value)}
        choices={field.choices}
        onCommit={commit}
      />
    );
  }
  const shown = quantity ?? quantityOf(field, units);
  const open = placeholder ?? openIn(field.whenOpen, shown);
  return (
    <QuantityField
      label={label}
      note={note}
      help={`${field.help} ${rangeOf(field, units)}.`}
      quantity={shown}
      value={typeof value === "number" ? value : null}
      optional={field.optional === true}
      {...(open === undefined ? {} : { placeholder: open })}
      {...(assumed && assumed.value === value
        ? { aside: <AssumedMark label={label} onConfirm={() => confirm(assumed.key)} /> }
        : {})}
      onCommit={(v) => commit(v !== null && field.whole ? Math.round(v) : v)}
    />
  );
}

/** Says that nobody has confirmed the value beside it. */
function AssumedMark({ label, onConfirm }: { readonly label: string; readonly onConfirm: () => void }) {
  return (
    <>
      <span
        className="border border-dashed border-tight px-1 text-[11px]"
        title="A usual value; nobody has confirmed it."
      >
        assumed
      </span>
      <button
        type="button"
        className="text-[12px] text-plum underline"
        aria-label={`Confirm ${label}`}
        title="It is known now: the value stays, the mark goes."
        onClick={onConfirm}
      >
        confirm
      </button>
    </>
  );
}

/** Entries of a record in the order of their keys. */
export function Entries<F extends Readonly<Record<string, Field>>, T extends object>({
  of,
  value,
  keys,
  change,
}: {
  readonly of: F;
  readonly value: T;
  readonly keys: Keys<F, T>;
  readonly change: ChangePart<T>;
}) {
  return keys.map((key) => {
    const field = of[key];
    return field ? (
      <Entry
        key={key}
        field={field}
        value={value[key] as Value}
        onCommit={(v: Value) => change({ [key]: v } as Partial<T>, editOf(field))}
      />
    ) : null;
  });
}

/** One entry in a table; whose it is stands in the label. */
export function CellEntry({
  field,
  value,
  whose,
  width,
  onCommit,
}: {
  readonly field: Field;
  readonly value: Value;
  readonly whose: string;
  readonly width?: string;
  readonly onCommit: (value: never) => Promise<Outcome>;
}) {
  const units = useUnits();
  const commit = onCommit as (value: number | string | boolean | null) => Promise<Outcome>;
  const label = `${field.name} of ${whose}`;
  if (field.kind === "text") {
    return <CellText label={label} value={String(value ?? "")} onCommit={commit} />;
  }
  if (field.kind === "switch") {
    return <CellSwitch label={label} value={value === true} onCommit={commit} />;
  }
  if (field.kind === "choice") {
    return <CellChoice label={label} value={String(value)} choices={field.choices} onCommit={commit} />;
  }
  const shared = { label, quantity: quantityOf(field, units), ...(width === undefined ? {} : { width }) };
  return field.optional ? (
    <CellQuantity {...shared} optional value={typeof value === "number" ? value : null} onCommit={commit} />
  ) : (
    <CellQuantity {...shared} value={Number(value ?? 0)} onCommit={(v) => commit(field.whole ? Math.round(v) : v)} />
  );
}
