const focusable = "button:not([disabled]), select:not([disabled]), input:not([disabled]), a[href], [tabindex='0']";

/** Where an element stood: its ancestors from the nearest up, and the place of the way down in each. */
interface Place {
  readonly ancestor: Element;
  readonly index: number;
}

const placesOf = (element: Element): Place[] => {
  const places: Place[] = [];
  for (let at = element; at.parentElement; at = at.parentElement) {
    places.push({ ancestor: at.parentElement, index: [...at.parentElement.children].indexOf(at) });
  }
  return places;
};

// The same place in a sibling, as the remove button of the next row; else the first that takes focus there.
const within = (sibling: Element | undefined, way: readonly number[]): HTMLElement | null => {
  let at = sibling;
  for (const index of way) {
    at = at?.children[index];
  }
  return at instanceof HTMLElement && at.matches(focusable) ? at : null;
};

/** What takes the focus where an element was that is gone: the same in the next row or the one before, else a button near. */
export function successorOf(places: readonly Place[]): HTMLElement | null {
  const level = places.findIndex((p) => p.ancestor.isConnected);
  const place = places[level];
  if (!place) {
    return null;
  }
  const way = places
    .slice(0, level)
    .reverse()
    .map((p) => p.index);
  const same =
    within(place.ancestor.children[place.index], way) ?? within(place.ancestor.children[place.index - 1], way);
  if (same) {
    return same;
  }
  for (let at: Element | null = place.ancestor; at && at !== document.body; at = at.parentElement) {
    const near = at.querySelector<HTMLElement>("button:not([disabled])") ?? at.querySelector<HTMLElement>(focusable);
    if (near) {
      return near;
    }
  }
  return null;
}

/** Hands the focus on when the element that has it goes away, so that the next key is not lost. Returns what ends it. */
export function keepFocus(root: HTMLElement): () => void {
  let last: { readonly element: Element; readonly places: Place[] } | undefined;
  const onFocus = (event: FocusEvent) => {
    if (event.target instanceof Element) {
      last = { element: event.target, places: placesOf(event.target) };
    }
  };
  const observer = new MutationObserver(() => {
    const active = document.activeElement;
    if (last && !last.element.isConnected && (active === null || active === document.body)) {
      successorOf(last.places)?.focus();
    }
  });
  root.addEventListener("focusin", onFocus);
  observer.observe(root, { childList: true, subtree: true });
  return () => {
    root.removeEventListener("focusin", onFocus);
    observer.disconnect();
  };
}
