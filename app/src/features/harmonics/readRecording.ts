/** What the engineer has chosen: a CSV, or the two parts of a COMTRADE recording. */
export interface ChosenFiles {
  readonly name: string;
  readonly text: string;
  readonly dataBase64: string;
}

/** Reads one CSV or a pair of .cfg and .dat; or says what is missing. */
export async function readRecording(files: readonly File[]): Promise<ChosenFiles | string> {
  const ending = (file: File) => file.name.toLowerCase().split(".").at(-1) ?? "";
  const cfg = files.find((f) => ending(f) === "cfg");
  const dat = files.find((f) => ending(f) === "dat");
  if (cfg && dat) {
    return { name: cfg.name, text: await cfg.text(), dataBase64: toBase64(new Uint8Array(await dat.arrayBuffer())) };
  }
  if (cfg ?? dat) {
    return "A COMTRADE recording has two parts: choose the .cfg and the .dat together.";
  }
  const csv = files[0];
  return csv ? { name: csv.name, text: await csv.text(), dataBase64: "" } : "No file was chosen.";
}

/** Bytes in base 64, in pieces that the stack stands. */
export function toBase64(bytes: Uint8Array): string {
  const pieces: string[] = [];
  for (let i = 0; i < bytes.length; i += 8192) {
    pieces.push(String.fromCharCode(...bytes.subarray(i, i + 8192)));
  }
  return btoa(pieces.join(""));
}
