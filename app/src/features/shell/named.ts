/** Every word that is typed begins a word of the name or of what else it is called; what begins with all of it comes first. */
export function named(value: string, search: string, keywords: readonly string[] = []): number {
  const typed = search.toLowerCase().trim();
  const words = [value, ...keywords]
    .join(" ")
    .toLowerCase()
    .split(/[\s:,()]+/);
  if (!typed.split(/\s+/).every((t) => words.some((w) => w.startsWith(t)))) {
    return 0;
  }
  const name = value.toLowerCase();
  return name === typed ? 1 : name.startsWith(typed) ? 0.9 : 0.5;
}
