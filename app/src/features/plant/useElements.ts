import {
  changeElement,
  elementsOf,
  hangingOn,
  removeElement,
  type ElementList,
  type ElementOf,
} from "../../lib/distribution";
import { partOf, type PartOf } from "../../lib/within";
import type { ElementKind } from "../../api/client";
import type { Outcome } from "../../components/draft";
import { useProject } from "../../project/ProjectContext";

/** Edits of one list of the distribution. */
export function useElements<L extends ElementList>(list: L) {
  const { project, edit, run } = useProject();
  const { specification } = project;
  return {
    elements: elementsOf(specification, list),
    change: (element: ElementOf<L>, part: PartOf<ElementOf<L>>): Promise<Outcome> =>
      edit(element.name, (s) => changeElement(s, list, element.id, (e) => ({ ...e, ...partOf(e, part) }))),
    add: (element: ElementKind) => void run({ kind: "add-element", element }),
    remove: async (element: ElementOf<L>): Promise<Outcome> => {
      const hanging = list === "buses" ? hangingOn(specification, element.id) : [];
      if (hanging.length > 0) {
        return `${element.name} stays: ${hanging.join(", ")} ${hanging.length === 1 ? "hangs" : "hang"} on it.`;
      }
      return edit(`Remove ${element.name}`, (s) => removeElement(s, list, element.id));
    },
  };
}
