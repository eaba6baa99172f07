// Third-party notices from bills of materials: node scripts/notices.mjs APP.json SERVER.json … > NOTICES.md
// Ends with 1 where a package has a licence that nobody has agreed to yet.
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { homedir } from "node:os";
import { join } from "node:path";

const agreed = new Set(["0BSD", "Apache-2.0", "BSD-2-Clause", "BSD-3-Clause", "ISC", "MIT", "MS-PL", "OFL-1.1"]);

const [appFile, ...serverFiles] = process.argv.slice(2);
if (!appFile || serverFiles.length === 0) {
  console.error("Usage: node scripts/notices.mjs APP.json SERVER.json …");
  process.exit(2);
}

const lock = JSON.parse(readFileSync("package-lock.json", "utf8"));
const places = new Map(
  Object.entries(lock.packages)
    .filter(([path]) => path !== "")
    .map(([path, p]) => [`${path.replace(/^.*node_modules\//, "")}@${p.version}`, path]),
);

/** Licences of a component; "A OR B" is fulfilled by one, "A AND B" by all. */
function licences(component) {
  const stated = (component.licenses ?? [])
    .map((l) => l.license?.id ?? l.license?.name ?? l.expression ?? "")
    .filter(Boolean);
  return stated.length > 0 ? stated : licencesOfFile(component);
}

/** A NuGet package that names no licence by its key brings its text: that of MIT is known by its first permission. */
function licencesOfFile(component) {
  if (!component.purl?.startsWith("pkg:nuget/")) {
    return [];
  }
  const packages = process.env.NUGET_PACKAGES ?? join(homedir(), ".nuget", "packages");
  const path = join(packages, component.name.toLowerCase(), component.version);
  const file = existsSync(path) ? readdirSync(path).find((f) => /^licen[cs]e/i.test(f)) : undefined;
  const text = file ? readFileSync(join(path, file), "utf8").replace(/\s+/g, " ") : "";
  return /MIT License/i.test(text) && text.includes("Permission is hereby granted, free of charge") ? ["MIT"] : [];
}

function isAgreed(expression) {
  const plain = expression.replace(/[()]/g, "");
  return plain.split(" OR ").some((way) => way.split(" AND ").every((l) => agreed.has(l.trim())));
}

/** Who holds the rights: as the package says it, or as its licence file does. */
function holder(component) {
  if (component.copyright) {
    return component.copyright;
  }
  const path = places.get(`${component.name}@${component.version}`);
  if (path && existsSync(path)) {
    for (const file of readdirSync(path).filter((f) => /^(licen[cs]e|copying|ofl)/i.test(f))) {
      const line = readFileSync(join(path, file), "utf8")
        .split("\n")
        .find((l) => /copyright\s+(\(c\)|©|\d)/i.test(l));
      if (line) {
        return line.replace(/[*#>]/g, "").trim();
      }
    }
  }
  return (component.authors ?? []).map((a) => a.name).join(", ") || component.author || "";
}

function rows(files) {
  const all = files.flatMap((file) => JSON.parse(readFileSync(file, "utf8")).components);
  return [...new Map(all.map((c) => [`${c.name}@${c.version}`, c])).values()]
    .map((c) => ({ name: c.name, version: c.version, licences: licences(c), holder: holder(c) }))
    .sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : a.version < b.version ? -1 : 1));
}

const server = rows(serverFiles);
const app = rows([appFile]);
const strange = [...server, ...app].filter((r) => r.licences.length === 0 || !r.licences.some(isAgreed));
if (strange.length > 0) {
  for (const r of strange) {
    console.error(
      `${r.name} ${r.version}: licence ${r.licences.join(", ") || "not stated"}; agreed: ${[...agreed].join(", ")}.`,
    );
  }
  process.exit(1);
}

const cell = (text) => text.replaceAll("|", "\\|").replace(/\s+/g, " ");
const table = (list) =>
  ["| package | version | licence | rights |", "|---|---|---|---|"]
    .concat(list.map((r) => `| ${r.name} | ${r.version} | ${r.licences.join(" or ")} | ${cell(r.holder)} |`))
    .join("\n");
process.stdout.write(`# Third-party notices

Packages that are part of what is delivered, with their licences. Written by \`./cuadrilla notices\`; \`./cuadrilla test\` compares. The texts of the
licences are those of the [SPDX list](https://spdx.org/licenses/) under their keys; each package brings its own copy.

## Server and command line (${server.length})

${table(server)}

## App (${app.length})

${table(app)}
`);
