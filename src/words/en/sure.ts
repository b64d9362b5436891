/** How far a figure can be trusted: it is so, as far as it was written down; or it is a guess that may well be off. */
export type Sureness = "exact" | "rough";
export const SURENESS_WORDS: Readonly<Record<Sureness, string>> = { exact: "exact", rough: "rough" };

export interface SureLine {
  readonly figure: string;
  readonly sure: Sureness;
  readonly because: string;
}

/** Of what a batch and a bed cost. @param labour what an hour costs, in words @param power what a kilowatt-hour costs, in words */
export const sureCosts = ({
  labour,
  power,
}: {
  readonly labour: string;
  readonly power: string;
}): readonly SureLine[] => [
  {
    figure: "Ingredients",
    sure: "exact",
    because:
      "What was taken out of stock, each lot at the price that was paid for it. What was free counts as nothing.",
  },
  {
    figure: "Work time",
    sure: "rough",
    because: `The minutes that people wrote down, at ${labour} an hour. Few people time themselves.`,
  },
  {
    figure: "Power",
    sure: "rough",
    because: `The pump's watts times the hours since the start, at ${power} a kilowatt-hour. No meter is read.`,
  },
  {
    figure: "Price of what is made",
    sure: "rough",
    because: "All of these, over what was strained off, as measured.",
  },
  {
    figure: "Cost per bed",
    sure: "rough",
    because: "The concentrate it got, at its batch's price, and its share of the work of putting it on.",
  },
];

/** Of what is on hand of one thing. @param counted when it was last counted, in words; null for never */
export const sureStock = (counted: string | null): readonly SureLine[] => [
  {
    figure: "On hand",
    sure: "exact",
    because: `All that came in less all that went out, as it was written down; ${counted === null ? "never counted" : `last counted ${counted}`}. What was spilled or used and not written down is missing from it: count it.`,
  },
  {
    figure: "Price",
    sure: "exact",
    because: "As paid for that lot.",
  },
  {
    figure: "Keeps to",
    sure: "rough",
    because: "The day on the pack; without one, as long as such things usually keep.",
  },
  {
    figure: "What it holds",
    sure: "rough",
    because: "From books. Yours may differ by half; a laboratory's figure counts more.",
  },
];
