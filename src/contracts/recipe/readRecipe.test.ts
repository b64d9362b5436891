import { METHODS } from "@/core/book";
import { bookDocument } from "@/core/recipe/document";
import { MOST_CHARACTERS, readRecipe } from "./readRecipe";

const TEXT = JSON.stringify(bookDocument("cultured-extract"), null, 2);
const lineHolding = (text: string, part: string) => text.split("\n").findIndex((line) => line.includes(part)) + 1;
const complaintsOf = (text: string) => {
  const read = readRecipe(text);
  if (read.ok) throw new Error("It was read.");
  return read.complaints;
};

describe("a recipe read from a file", () => {
  it.each(METHODS.flatMap(({ id, schools }) => schools.map((school) => [id, school.id] as const)))(
    "%s, %s: what is written is read, to the letter",
    (methodId, schoolId) => {
      const document = bookDocument(methodId, schoolId);
      const read = readRecipe(JSON.stringify(document, null, 2));
      expect(read).toEqual({ ok: true, document, unconfirmed: [] });
    },
  );
  it("names the line where the syntax breaks", () => {
    const broken = TEXT.replace('"school": "equal-parts",', '"school": "equal-parts"');
    expect(complaintsOf(broken)).toEqual([
      { line: lineHolding(broken, '"name"'), path: "", text: "Not JSON: a comma is missing." },
    ]);
    expect(complaintsOf("{").at(0)!.text).toMatch(/closing brace/);
    expect(complaintsOf("// a note\n{}").at(0)!.text).toMatch(/comments/);
  });
  it.each([
    ["a number in words", '"default": 0.85', '"default": "most of it"', "/fillShare/default: This must be a number."],
    ["a share below nothing", '"default": 0.85', '"default": -0.85', "/fillShare/default: At least 0."],
    ["an absurd share", '"default": 0.85', '"default": 85', "/fillShare/default: At most 1."],
    ["a word that nobody taps", '"word": "cidery"', '"word": "nice"', "/cues/"],
    ["a lid that is none", '"lid": "airlock"', '"lid": "glass"', "/lid"],
    ["a shelf life of nothing", /"shelfH": \d+/, '"shelfH": 0', "/shelfH: More than 0."],
  ])("names the line of %s", (_what, good, bad, said) => {
    const broken = TEXT.replace(good, bad);
    const complaint = complaintsOf(broken).find(({ text }) => text.startsWith(said))!;
    expect(complaint.line).toBe(lineHolding(broken, bad));
  });
  it("names what is missing at the thing it is missing from, and what is not known", () => {
    const { lid: _lid, ...rest } = bookDocument("cultured-extract");
    expect(complaintsOf(JSON.stringify({ ...rest, colour: "green" }, null, 2))).toEqual(
      expect.arrayContaining([
        { line: 1, path: "/lid", text: "/lid: Fill this in." },
        expect.objectContaining({ path: "/colour", text: "/colour: This is not known here." }),
      ]),
    );
  });
  it("refuses an ingredient and a method that the book does not have", () => {
    expect(complaintsOf(TEXT.replace('"ingredient": "molasses"', '"ingredient": "treacle"'))[0]!.path).toBe(
      "/ingredients/1/ingredient",
    );
    expect(complaintsOf(TEXT.replace('"method": "cultured-extract"', '"method": "moon-water"'))[0]!.text).toMatch(
      /Unknown method/,
    );
  });
  it("refuses a tight lid on gas, at its line", () => {
    const tight = TEXT.replace('"lid": "airlock"', '"lid": "sealed"');
    expect(complaintsOf(tight)).toEqual([
      expect.objectContaining({ line: lineHolding(tight, '"lid"'), text: expect.stringContaining("bursts") as string }),
    ]);
  });
  it("reads a strange figure, and holds it", () => {
    const strange = JSON.parse(TEXT) as { ingredients: { amount: { perBasis: object } }[] };
    strange.ingredients[1]!.amount.perBasis = { low: 0.2, default: 0.3, high: 0.4 };
    expect(readRecipe(JSON.stringify(strange))).toMatchObject({
      ok: true,
      unconfirmed: [{ path: "/ingredients/1/amount/perBasis/default" }],
    });
  });
  it("refuses nothing at all, a list, and a novel", () => {
    expect(complaintsOf("  ")[0]!.text).toBe("There is nothing in it.");
    expect(complaintsOf("[1, 2]")[0]!.line).toBe(1);
    expect(complaintsOf("x".repeat(MOST_CHARACTERS + 1))[0]!.text).toMatch(/longer than any recipe/);
  });
});
