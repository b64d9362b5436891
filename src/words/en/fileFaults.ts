import type { FileFault, FileFaultCode, FileLayout, RowWould } from "@/formats/csv/fileFault";
import type { Speech } from "../speech";

type Of<C extends FileFaultCode> = Extract<FileFault, { readonly code: C }>;
const quoted = (names: readonly string[]) => names.map((name) => `"${name}"`).join(", ");

/** What is wrong with a cell, a row or a whole file. */
export const FILE_FAULTS: { readonly [C in FileFaultCode]: (fault: Of<C>, say: Speech) => string } = {
  "how-much": () => "How much?",
  "which-unit": () => "Which unit?",
  "which-ingredient": () => "Which ingredient?",
  "which-lot": () => "Which lot?",
  "counts-as-what": () => "What does it count as?",
  "no-name": () => "What is it called?",
  "below-zero": () => "Not below 0.",
  "not-above-zero": () => "More than 0.",
  "name-in-book": () => "Ruchka knows this ingredient already.",
  "not-in-book": ({ name }) => `Unknown ingredient: "${name}".`,
  "not-known": ({ name }) => `Unknown ingredient: "${name}".`,
  "too-much": ({ most }, say) => `At most ${say.number(most, 9)}.`,
  "too-long": ({ letters }) => `At most ${letters} characters.`,
  "not-between": ({ least, most, unit }, say) => `Between ${say.number(least, 3)} and ${say.number(most, 3)} ${unit}.`,
  "no-whole-days": ({ most }, say) => `Whole days, from 1 to ${say.number(most, 9)}.`,
  "none-of": ({ allowed }) => `One of: ${allowed.join(", ")}.`,
  "no-day": ({ typed }) =>
    typed.includes("/")
      ? `"${typed}" may be day or month first: write 2031-03-20 or 20.3.2031.`
      : `"${typed}" is no day: write 2031-03-20 or 20.3.2031.`,
  "no-number": ({ typed }) => `"${typed}" is no number.`,
  "unreadable": ({ why }) => why,
  "no-lot": ({ lot, mayBeNew }) => `There is no lot ${lot}.${mayBeNew ? " Leave it empty for a new one." : ""}`,
  "lot-differs": ({ lot }) =>
    `Lot ${lot} says otherwise. Lots are not rewritten: count it, or correct its line in the shed.`,
  "lot-is-other": ({ lot, name }) => `Lot ${lot} is ${name}.`,
  "known-otherwise": ({ name }) => `${name} is known otherwise; give this one another name.`,
  "again": ({ line, of }) =>
    of === "lot"
      ? `The same lot as in line ${line}.`
      : of === "count"
        ? `Counted in line ${line} already.`
        : `The same as in line ${line}.`,
  "no-plot": ({ name }) => (name === "" ? "On which plot?" : `No plot on the plan is called "${name}".`),
  "no-planting": ({ typed }) => `There is no planting ${typed} on that plot. Leave it empty for a new one.`,
  "before": ({ column }) => `Not before "${column}".`,
  "received-ahead": () => "A lot can't come in on a day that has not been.",
  "expires-early": () => "The use-by date is before the date received.",
  "file-empty": () => "The file is empty.",
  "no-rows": () => "There are heads and no rows.",
  "quote-open": ({ line }) => `A quotation mark is not closed near line ${line}: nothing behind it can be told apart.`,
  "no-column": ({ missing, found, wanted, optional }) =>
    `No column ${quoted(missing)}. Found: ${quoted(found) || "nothing"}. Wanted: ${wanted.join(", ")}; may be missing: ${optional.join(", ")}.`,
  "too-many-rows": ({ rows, most }) => `${rows} rows are more than the ${most} of one file. Part it.`,
};

type Would<C extends RowWould["code"]> = Extract<RowWould, { readonly code: C }>;
const sayThing = (
  { volumeL, words }: { readonly volumeL: number | null; readonly words: readonly string[] },
  say: Speech,
) => [...(volumeL === null ? [] : [say.volume(volumeL)]), ...words.filter((word) => word !== "")];

/** What a row would write, or finds there already. */
export const ROW_WOULD: { readonly [C in RowWould["code"]]: (would: Would<C>, say: Speech) => string } = {
  "lot-there": ({ lot }) => `lot ${lot}, as it stands`,
  "lot": ({ ingredient, amount, unit, receivedOn }, say) =>
    `${say.stock(amount, unit)} of ${ingredient}, ${receivedOn}`,
  "counted-same": ({ lot, amount, unit }, say) => `lot ${lot} holds ${say.stock(amount, unit)}`,
  "counted": ({ lot, ingredient, before, after, unit }, say) =>
    `lot ${lot}, ${ingredient}: ${say.stock(before, unit)} becomes ${say.stock(after, unit)}`,
  "planting-there": ({ plot, crop }) => `${crop} on ${plot}, as it stands`,
  "planting": ({ plot, crop }) => `${crop} on ${plot}`,
  "thing-there": ({ name }) => `${name}, as it stands`,
  "thing": ({ name, ...told }, say) => [name, ...sayThing(told, say)].join(", "),
  "thing-changed": ({ name, ...told }, say) => `${name} becomes: ${sayThing(told, say).join(", ")}`,
  "ingredient-there": ({ name }) => `${name}, as it stands`,
  "ingredient": ({ name, countsAs }) => `${name}, counts as ${countsAs}`,
};

const DELIMITERS: Readonly<Record<string, string>> = { ",": "commas", ";": "semicolons", "\t": "tabs", "|": "bars" };
/** How a file was read. */
export const sayLayout = ({ delimiter, encoding, unknown }: FileLayout): readonly string[] => [
  `Parted by ${DELIMITERS[delimiter] ?? "something else"}, ${encoding === "windows-1252" ? "in the Western code page" : `in ${encoding.toUpperCase()}`}.`,
  ...(unknown.length > 0 ? [`Left alone: ${quoted(unknown)}.`] : []),
];
