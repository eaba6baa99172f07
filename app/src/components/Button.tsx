import { useState, type ComponentProps } from "react";

/**
 * A button that says why it can't be pressed now: by its title, to who presses it nevertheless, and to who hears the page. It
 * keeps its place in the order of the keys.
 */
export function Button({
  why,
  isMain = false,
  className = "",
  onClick,
  title,
  ...rest
}: {
  /** What stands against it; empty, false or absent: nothing. */
  readonly why?: string | false | undefined;
  readonly isMain?: boolean;
} & Omit<ComponentProps<"button">, "disabled" | "type">) {
  const [isAsked, setAsked] = useState(false);
  const against = why === false || why === "" ? undefined : why;
  return (
    <span className="relative inline-block">
      <button
        {...rest}
        type="button"
        className={`button ${isMain ? "button-main" : ""} ${className}`}
        aria-disabled={against !== undefined}
        aria-description={against}
        title={against ?? title}
        onClick={against === undefined ? onClick : () => setAsked(true)}
        onBlur={() => setAsked(false)}
      />
      {isAsked && against !== undefined && (
        <span
          role="status"
          className="absolute top-full left-0 z-30 mt-1 w-56 rounded border border-plum bg-panel p-1.5 text-left text-[12px] whitespace-normal text-ink shadow"
        >
          {against}
        </span>
      )}
    </span>
  );
}
