import { afterColon, counted, inText, listed, listedOr } from "./grammar";

describe("a count in a sentence", () => {
  it.each([
    [0, "no bed yet"],
    [1, "one bed"],
    [2, "2 beds"],
    [1.5, "1.5 beds"],
    [12000, "12000 beds"],
  ])("says %s by its own message", (count, said) => {
    expect(counted(count, { zero: "no bed yet", one: "one bed", other: "# beds" })).toBe(said);
  });
  it("says nothing at all as many, where it has no words of its own", () => {
    expect(counted(0, { one: "# bed", other: "# beds" })).toBe("0 beds");
  });
});

it("lists names as the language does", () => {
  expect(listed(["ash"])).toBe("ash");
  expect(listed(["ash", "char", "salt"])).toBe("ash, char and salt");
  expect(listedOr(new Set(["ash", "char"]))).toBe("ash or char");
  expect(listed([])).toBe("");
});

it("sets a title into a sentence, and leaves the names in a sentence as they are", () => {
  expect(inText("Cultured extract")).toBe("cultured extract");
  expect(afterColon("Vent drum B.")).toBe("vent drum B.");
});
