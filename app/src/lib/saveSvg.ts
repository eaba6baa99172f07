/** Saves a drawing on the page as a file of its own. */
export function saveSvg(drawing: SVGSVGElement | null, name: string) {
  if (!drawing) {
    return;
  }
  const text = new XMLSerializer().serializeToString(drawing);
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "image/svg+xml" }));
  link.download = `${name.toLowerCase().replace(/[^a-z0-9]+/g, "-")}.svg`;
  link.click();
  // Only once the browser has begun to read it.
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
