import { Command } from "cmdk";
import type { Field } from "../../fields/field";
import { fields } from "../../fields/table";
import { useProject } from "../../project/ProjectContext";
import { useCatalogue } from "../../project/useCatalogue";
import { allMethods } from "../methods/methods";
import { named } from "./named";

const records: readonly Readonly<Record<string, Field>>[] = [fields.Conventions, fields.Site, fields.Tariff];

/** A setting of the plant by its name: it leads to its entry. */
export function Settings({
  typed,
  item,
  onSetting,
}: {
  readonly typed: string;
  readonly item: string;
  readonly onSetting: (name: string) => void;
}) {
  const catalogue = useCatalogue();
  const names = [
    ...records.flatMap((record) => Object.values(record).map((f) => f.name)),
    "Law on motors",
    ...(catalogue.data?.defaults ?? []).map((d) => d.name),
  ];
  const found = typed.trim().length < 2 ? [] : names.filter((name) => named(name, typed) > 0).slice(0, 12);
  return found.length === 0 ? null : (
    <Command.Group heading="Settings">
      {found.map((name) => (
        <Command.Item key={name} className={item} onSelect={() => onSetting(name)}>
          {name}
        </Command.Item>
      ))}
    </Command.Group>
  );
}

/** Pages on methods, by the name of what is studied. */
export function Methods({
  typed,
  item,
  onMethod,
}: {
  readonly typed: string;
  readonly item: string;
  readonly onMethod: (key: string) => void;
}) {
  const found = typed.trim().length < 2 ? [] : allMethods.filter((m) => named(`Method: ${m.name}`, typed) > 0);
  return found.length === 0 ? null : (
    <Command.Group heading="Methods">
      {found.map((m) => (
        <Command.Item key={m.key} value={`Method: ${m.name}`} className={item} onSelect={() => onMethod(m.key)}>
          Method: {m.name}
        </Command.Item>
      ))}
    </Command.Group>
  );
}

/** What leaves the program, by its name. */
export function Documents({ item, onDone }: { readonly item: string; readonly onDone: () => void }) {
  const { project } = useProject();
  const base = `/api/projects/${project.id}`;
  const documents = [
    ...project.specification.lineups.flatMap((l) => [
      [`Sheet of ${l.tag} ${l.name}, PDF`, `${base}/lineups/${l.id}/sheet.pdf`],
      [`Interference sheet of ${l.tag} ${l.name}, PDF`, `${base}/lineups/${l.id}/interference.pdf`],
    ]),
    ["Drive list, CSV", `${base}/drive-list.csv`],
    ["Drive list, XLSX", `${base}/drive-list.xlsx`],
  ] as const;
  return (
    <Command.Group heading="Documents">
      {documents.map(([name = "", address = ""]) => (
        <Command.Item
          key={address}
          className={item}
          keywords={["document", "export", "download"]}
          onSelect={() => {
            onDone();
            const link = document.createElement("a");
            link.href = address;
            link.download = "";
            link.click();
          }}
        >
          {name}
        </Command.Item>
      ))}
    </Command.Group>
  );
}
