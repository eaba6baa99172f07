import { readCsv, readNumber } from "../../lib/csv";

/** Light and air of every hour of a year. */
export interface YearHours {
  readonly wPerM2: readonly number[];
  readonly airC: readonly number[];
}

const hoursInYear = 8760;
const hoursInLeapYear = 8784;
const firstOfMarch = (31 + 28) * 24;

/**
 * Reads a year by hours: light on the ground in W/m² and temperature in °C are the last two columns of each row; a row of names
 * first is passed over, the 29th of February too. Or says which row is wrong.
 */
export function readHours(text: string): YearHours | string {
  const numbers = readCsv(text).rows;
  if (numbers.length !== hoursInYear && numbers.length !== hoursInLeapYear) {
    return `The file has ${numbers.length} rows of numbers; a year by hours has ${hoursInYear}, or ${hoursInLeapYear} with a 29th of February.`;
  }
  const wPerM2: number[] = [];
  const airC: number[] = [];
  for (const [i, row] of numbers.entries()) {
    if (numbers.length === hoursInLeapYear && i >= firstOfMarch && i < firstOfMarch + 24) {
      continue;
    }
    const light = readNumber(row.at(-2) ?? "") ?? NaN;
    const air = readNumber(row.at(-1) ?? "") ?? NaN;
    if (!(light >= -20 && light <= 1500)) {
      return `Row ${i + 1}: light “${row.at(-2) ?? ""}”; allowed: 0 to 1500 W/m².`;
    }
    if (!(air >= -60 && air <= 60)) {
      return `Row ${i + 1}: temperature “${row.at(-1) ?? ""}”; allowed: −60 to 60 °C.`;
    }
    // Instruments show a little less than nothing at night.
    wPerM2.push(Math.max(0, Math.round(light * 10) / 10));
    airC.push(Math.round(air * 10) / 10);
  }
  return { wPerM2, airC };
}
