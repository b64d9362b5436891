/** Every label of every method, on every paper, in every language and by hand: read back from the PDF that a printer gets. */
import type { CautionId } from "@/core/book/cautions";
import { PAPERS } from "@/core/paper/papers";
import { LABEL_LANGUAGES, LABEL_WORDS, type LabelLanguage } from "@/words/labelLanguage";
import { expect, test } from "./harness/farm";
import { printed, type PrintedPage } from "./harness/pdf";
import { INPUTS, THREE_SIZES } from "./harness/workshop";

const squeezed = (text: string) => text.replaceAll(/[\s\u00ad]+/g, "").toLowerCase();

/** What of a method's making must stand on its label before all else, whoever makes it. */
const MUST: Readonly<Record<string, readonly CautionId[]>> = {
  "drum-manure-tea": ["manure"],
  "dung-flour-ferment": ["manure"],
  "milk-spray": ["milk"],
  "shell-calcium": ["acid-hands"],
};

/** Letters of a word are drawn together by so much of their height where they fit into one another. */
const KERNED = 0.25;

/** Runs that lie on one another by more than a hair: letters nobody can read. */
function overlaps({ runs }: PrintedPage): string[] {
  return runs.flatMap((one, index) =>
    runs.slice(index + 1).flatMap((other) => {
      const wide = Math.min(one.rightMm, other.rightMm) - Math.max(one.leftMm, other.leftMm);
      const high = Math.min(one.bottomMm, other.bottomMm) - Math.max(one.topMm, other.topMm);
      return wide > KERNED * (one.bottomMm - one.topMm) &&
        high > 0.35 * Math.min(one.bottomMm - one.topMm, other.bottomMm - other.topMm)
        ? [`${one.text} | ${other.text}`]
        : [];
    }),
  );
}

test.use({ farmKind: "ripe" });
test("every label says what hurts before all else, and nothing of it is cut or printed over", async ({ page }) => {
  let labels = 0;
  for (const [index, { id: methodId, name }] of INPUTS.entries()) {
    for (const [turn, { paper, hand }] of [
      ...PAPERS.map((one) => ({ paper: one, hand: false })),
      ...PAPERS.filter(({ id }) => id !== "letter").map((one) => ({ paper: one, hand: true })),
    ].entries()) {
      // The usual run takes every third, so that each method meets three papers and each paper five methods; RUCHKA_SIZES=3 takes all.
      // The languages go round, so that each paper meets each of them.
      if (!THREE_SIZES && turn % 3 !== index % 3) continue;
      const language: LabelLanguage = LABEL_LANGUAGES[(index + turn) % LABEL_LANGUAGES.length]!;
      const where = `${name} on ${paper.name}${hand ? ", by hand" : ""}, ${language}`;
      await page.goto(
        `/paper/labels?batch=${index + 1}&paper=${paper.id}&language=${language}${hand ? "&hand=1" : ""}`,
      );
      const article = page.getByRole("article").first();
      await expect(article, where).toHaveAttribute("data-fitted", "yes");
      const shown = await article.innerText();
      const [first, ...rest] = await printed(page);
      labels += 1;
      expect.soft(rest, where).toHaveLength(0);
      expect
        .soft([first!.widthMm, first!.heightMm], where)
        .toEqual([Math.round(paper.widthMm), Math.round(paper.heightMm)]);
      // All that stands on the screen's label stands on the paper, to the last line.
      const onPaper = squeezed(first!.text);
      const missing = shown.split("\n").filter((line) => !onPaper.includes(squeezed(line)));
      expect.soft(missing, `${where}: printed on the screen alone`).toEqual([]);
      expect.soft(first!.text, where).not.toContain("…");
      const words = LABEL_WORDS[language];
      const start = onPaper.indexOf(squeezed(words.notToDrink));
      expect.soft(start, `${where}: not to drink`).toBeGreaterThanOrEqual(0);
      const named = onPaper.indexOf(squeezed(/No\. \d+/.exec(shown)?.[0] ?? "?"));
      expect.soft(named, `${where}: its number`).toBeGreaterThan(start);
      for (const hazard of MUST[methodId] ?? []) {
        const at = onPaper.indexOf(squeezed(words.hazards[hazard]!));
        expect.soft(at, `${where}: ${hazard}`).toBeGreaterThanOrEqual(0);
        expect.soft(at, `${where}: ${hazard} before the number`).toBeLessThan(named);
      }
      const outside = first!.runs.filter(
        ({ leftMm, rightMm, bottomMm }) => leftMm < 0 || rightMm > paper.widthMm || bottomMm > paper.heightMm,
      );
      expect.soft(outside, `${where}: beyond the paper`).toEqual([]);
      expect.soft(overlaps(first!), where).toEqual([]);
      // Nothing is hidden behind an edge either.
      await page.emulateMedia({ media: "print" });
      const cut = await article.evaluate((element) =>
        [element, ...element.querySelectorAll("*")].flatMap((one) =>
          one instanceof HTMLElement &&
          one.clientHeight > 0 &&
          getComputedStyle(one).overflow === "hidden" &&
          (one.scrollHeight > one.clientHeight + 1 || one.scrollWidth > one.clientWidth + 1)
            ? [one.textContent ?? ""]
            : [],
        ),
      );
      expect.soft(cut, where).toEqual([]);
      await page.emulateMedia({ media: null });
    }
  }
  expect(labels).toBe(INPUTS.length * (THREE_SIZES ? 9 : 3));
});
