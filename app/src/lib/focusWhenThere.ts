/** Focuses what a selector finds, now or in one of the next frames: what was just made takes some to be drawn. */
export function focusWhenThere(selector: string, frames = 90): void {
  requestAnimationFrame(() => {
    const element = document.querySelector<HTMLElement>(selector);
    if (element) {
      element.focus();
      if (element instanceof HTMLInputElement) {
        element.select(); // As Tab does: what is typed takes its place.
      }
    } else if (frames > 0) {
      focusWhenThere(selector, frames - 1);
    }
  });
}
