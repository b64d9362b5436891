/**
 * What a language does with names, counts and lists inside a sentence, in one place: a second language changes this file and the catalogue `words/`,
 * and nothing that calls them.
 */
const LANGUAGE = "en-GB";
const PLURALS = new Intl.PluralRules(LANGUAGE);
const NUMBER = new Intl.NumberFormat(LANGUAGE, { maximumSignificantDigits: 6, useGrouping: false });
const AND = new Intl.ListFormat(LANGUAGE, { type: "conjunction" });
const OR = new Intl.ListFormat(LANGUAGE, { type: "disjunction" });

/** A title as it stands inside a sentence. @example inText("Cultured extract"); // "cultured extract" */
export const inText = (title: string): string => title.toLocaleLowerCase(LANGUAGE);

/** The start of a sentence as it stands after a colon, its names kept as they are written. @example afterColon("Vent drum B."); // "vent drum B." */
export const afterColon = (sentence: string): string =>
  sentence.charAt(0).toLocaleLowerCase(LANGUAGE) + sentence.slice(1);

/** @example listed(["ash", "char", "salt"]); // "ash, char and salt" */
export const listed = (names: Iterable<string>): string => AND.format(names);

/** @example listedOr(["ash", "char"]); // "ash or char" */
export const listedOr = (names: Iterable<string>): string => OR.format(names);

/** What is said of a count: `#` stands for the number. `zero` where nothing at all is said in words of its own. */
export interface Counted {
  readonly zero?: string;
  readonly one: string;
  readonly other: string;
}

/** @example counted(1, { one: "one bed", other: "# beds" }); // "one bed" */
export function counted(count: number, { zero, one, other }: Counted): string {
  if (count === 0 && zero !== undefined) return zero;
  const message = PLURALS.select(count) === "one" ? one : other;
  return message.replace("#", NUMBER.format(count));
}
