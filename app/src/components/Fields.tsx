import { useId, useState, type ReactNode } from "react";
import { parseQuantity, showQuantity, type Quantity } from "../fields/units";
import { useDraft, type Outcome } from "./draft";

interface Shell {
  readonly label: string;
  readonly note?: string | undefined;
  /** What it means and what may stand there; shown over the label. */
  readonly help?: string | undefined;
}

function Row({
  id,
  label,
  note,
  help,
  problem,
  children,
}: Shell & { readonly id: string; readonly problem: Outcome; readonly children: ReactNode }) {
  return (
    <div className="grid grid-cols-[minmax(0,9.5rem)_minmax(0,1fr)] items-baseline gap-x-2 py-0.5">
      <label htmlFor={id} className="text-soft" title={help}>
        {label}
      </label>
      <div className="min-w-0">
        {children}
        {note && <p className="text-[12px] text-soft">{note}</p>}
        {problem && (
          <p id={`${id}-problem`} role="alert" className="text-[12px] text-fails">
            {problem}
          </p>
        )}
      </div>
    </div>
  );
}

/** A number with its unit; other units of the kind are understood. Empty means not known, where that is allowed. */
export function QuantityField({
  label,
  note,
  help,
  quantity,
  value,
  optional = false,
  placeholder = "not known",
  aside,
  onCommit,
}: Shell & {
  /** What is said of the value, under it. */
  readonly aside?: ReactNode;
  readonly quantity: Quantity;
  readonly value: number | null;
  readonly optional?: boolean;
  readonly placeholder?: string;
  readonly onCommit: (value: number | null) => Promise<Outcome>;
}) {
  const id = useId();
  const { input, problem } = useDraft(showQuantity(value, quantity), (text) => {
    if (text.trim() === "") {
      return optional ? onCommit(null) : "A value is needed here.";
    }
    const parsed = parseQuantity(text, quantity);
    return parsed.ok ? onCommit(parsed.value) : parsed.message;
  });
  return (
    <Row id={id} label={label} note={note} help={help} problem={problem}>
      <div className="flex items-baseline gap-1">
        <input
          id={id}
          className="entry max-w-28 text-right font-mono"
          inputMode="decimal"
          autoComplete="off"
          placeholder={optional ? placeholder : undefined}
          aria-describedby={problem ? `${id}-problem` : undefined}
          {...input}
        />
        <span className="text-soft">{quantity.unit}</span>
      </div>
      {aside && <p className="flex items-baseline gap-1.5">{aside}</p>}
    </Row>
  );
}

/** A line of text. */
export function TextField({
  label,
  note,
  help,
  value,
  onCommit,
}: Shell & { readonly value: string; readonly onCommit: (value: string) => Promise<Outcome> }) {
  const id = useId();
  const { input, problem } = useDraft(value, (text) => onCommit(text.trim()));
  return (
    <Row id={id} label={label} note={note} help={help} problem={problem}>
      <input
        id={id}
        className="entry"
        autoComplete="off"
        aria-describedby={problem ? `${id}-problem` : undefined}
        {...input}
      />
    </Row>
  );
}

/** One of a few. */
export function ChoiceField<T extends string>({
  label,
  note,
  help,
  value,
  choices,
  onCommit,
}: Shell & {
  readonly value: T;
  readonly choices: Readonly<Record<T, string>>;
  readonly onCommit: (value: T) => Promise<Outcome>;
}) {
  const id = useId();
  const [problem, setProblem] = useState<Outcome>();
  return (
    <Row id={id} label={label} note={note} help={help} problem={problem}>
      <select
        id={id}
        className="entry"
        value={value}
        onChange={(event) => void onCommit(event.target.value as T).then(setProblem)}
      >
        {(Object.entries(choices) as [T, string][]).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </Row>
  );
}

/** Yes or no. */
export function SwitchField({
  label,
  note,
  help,
  value,
  onCommit,
}: Shell & { readonly value: boolean; readonly onCommit: (value: boolean) => Promise<Outcome> }) {
  const id = useId();
  const [problem, setProblem] = useState<Outcome>();
  return (
    <Row id={id} label={label} note={note} help={help} problem={problem}>
      <input
        id={id}
        type="checkbox"
        className="accent-plum"
        checked={value}
        onChange={(event) => void onCommit(event.target.checked).then(setProblem)}
      />
    </Row>
  );
}
