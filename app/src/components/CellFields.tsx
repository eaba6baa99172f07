import { useId, useState } from "react";
import { parseQuantity, showQuantity, type Quantity } from "../fields/units";
import { useDraft, type Outcome } from "./draft";

function Problem({ id, problem }: { readonly id: string; readonly problem: Outcome }) {
  return problem ? (
    <p id={`${id}-problem`} role="alert" className="max-w-44 text-[12px] text-fails">
      {problem}
    </p>
  ) : null;
}

/** A bare number in a table, its meaning given by label. Empty means not known, where that is allowed. */
export function CellQuantity({
  label,
  quantity,
  value,
  optional,
  width = "w-20",
  onCommit,
}: {
  readonly label: string;
  readonly quantity: Quantity;
  readonly width?: string;
} & (
  | { readonly optional?: false; readonly value: number; readonly onCommit: (value: number) => Promise<Outcome> }
  | {
      readonly optional: true;
      readonly value: number | null;
      readonly onCommit: (value: number | null) => Promise<Outcome>;
    }
)) {
  const id = useId();
  const { input, problem } = useDraft(showQuantity(value, quantity), (text) => {
    if (text.trim() === "" && optional) {
      return onCommit(null);
    }
    const parsed = parseQuantity(text, quantity);
    return parsed.ok ? onCommit(parsed.value) : parsed.message;
  });
  return (
    <>
      <input
        aria-label={label}
        className={`entry ${width} text-right font-mono`}
        autoComplete="off"
        placeholder={optional ? "–" : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        {...input}
      />
      <Problem id={id} problem={problem} />
    </>
  );
}

/** A line of text in a table. */
export function CellText({
  label,
  value,
  onCommit,
}: {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (value: string) => Promise<Outcome>;
}) {
  const id = useId();
  const { input, problem } = useDraft(value, (text) => onCommit(text.trim()));
  return (
    <>
      <input
        aria-label={label}
        className="entry min-w-36"
        autoComplete="off"
        aria-describedby={problem ? `${id}-problem` : undefined}
        {...input}
      />
      <Problem id={id} problem={problem} />
    </>
  );
}

/** One of a few, in a table. */
export function CellChoice<T extends string>({
  label,
  value,
  choices,
  onCommit,
}: {
  readonly label: string;
  readonly value: T;
  readonly choices: Readonly<Record<T, string>>;
  readonly onCommit: (value: T) => Promise<Outcome>;
}) {
  const id = useId();
  const [problem, setProblem] = useState<Outcome>();
  return (
    <>
      <select
        aria-label={label}
        className="entry w-auto"
        value={value}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => void onCommit(event.target.value as T).then(setProblem)}
      >
        {(Object.entries(choices) as [T, string][]).map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
      <Problem id={id} problem={problem} />
    </>
  );
}

/** Yes or no, in a table. */
export function CellSwitch({
  label,
  value,
  onCommit,
}: {
  readonly label: string;
  readonly value: boolean;
  readonly onCommit: (value: boolean) => Promise<Outcome>;
}) {
  const id = useId();
  const [problem, setProblem] = useState<Outcome>();
  return (
    <>
      <input
        type="checkbox"
        className="accent-plum"
        aria-label={label}
        checked={value}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => void onCommit(event.target.checked).then(setProblem)}
      />
      <Problem id={id} problem={problem} />
    </>
  );
}
