/** Focuses the row that an element of the diagram stands for, the field of that name, or the project's value of that limit; true when there is one. */
export function focusEntry(target: string): boolean {
  const row = document.querySelector<HTMLElement>(`main tr[data-element="${CSS.escape(target)}"] .entry`);
  const limit = document.querySelector<HTMLElement>(`main [aria-label="${CSS.escape(`${target}, project value`)}"]`);
  const label = [...document.querySelectorAll<HTMLLabelElement>("main label")].find((l) => l.textContent === target);
  const found = row ?? limit ?? label?.control;
  found?.focus();
  return found !== null && found !== undefined;
}
