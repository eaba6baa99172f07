// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { keepFocus } from "./keepFocus";

const at = (id: string): HTMLElement => {
  const found = document.getElementById(id);
  if (!found) {
    throw new Error(`There is no #${id}.`);
  }
  return found;
};
const settled = () => new Promise((done) => setTimeout(done, 0));

describe("focus of what goes away", () => {
  let end: () => void;

  beforeEach(() => {
    document.body.innerHTML = `<div id="root"><section><h3><button id="add">Add</button></h3><table><tbody>
      <tr id="r1"><td><input id="i1"></td><td><button id="b1">×</button></td></tr>
      <tr id="r2"><td><input id="i2"></td><td><button id="b2">×</button></td></tr>
    </tbody></table></section></div>`;
    end = keepFocus(at("root"));
  });
  afterEach(() => {
    end();
  });

  it("goes to the same place of the next row, of the row before, then to a button near", async () => {
    at("b1").focus();
    at("r1").remove();
    await settled();
    expect(document.activeElement?.id).toBe("b2");
    at("r2").remove();
    await settled();
    expect(document.activeElement?.id).toBe("add");
  });

  it("stays where the user put it", async () => {
    at("b1").focus();
    at("i2").focus();
    at("r1").remove();
    await settled();
    expect(document.activeElement?.id).toBe("i2");
    at("i2").blur();
    at("b2").remove();
    await settled();
    expect(document.activeElement).toBe(document.body);
  });
});
