/** What is said of an input, and what is known of it. None of it enters a calculation. */
export type Evidence = "none" | "mixed" | "wrong";

export interface Claim {
  readonly id: string;
  /** As it is told, never as a fact. */
  readonly said: string;
  readonly evidence: Evidence;
  readonly known: string;
  /** Methods it is told of; empty for all. */
  readonly methodIds: readonly string[];
}

export const CLAIMS: readonly Claim[] = [
  {
    id: "skin",
    said: "It is good to drink, or heals the skin.",
    evidence: "none",
    known: "Do not drink it and keep it off skin. A brew can carry germs. Ruchka supports no use for health.",
    methodIds: [],
  },
  {
    id: "thousandfold",
    said: "Its life grows a thousandfold.",
    evidence: "wrong",
    known: "Growth ends with the food in the drum. Ruchka shows when it is at its best and when it is over.",
    methodIds: ["aerated-tea", "leaf-mould-brew", "leachate-bloom", "feeding-tea"],
  },
  {
    id: "more-food",
    said: "More molasses makes it stronger.",
    evidence: "wrong",
    known: "More food uses up the air, and the brew goes bad. Stay within the recipe.",
    methodIds: ["aerated-tea", "leaf-mould-brew", "leachate-bloom", "feeding-tea"],
  },
  {
    id: "better-than-compost",
    said: "It does more than the compost it is made of.",
    evidence: "mixed",
    known: "Some trials say so, some say that compost on the bed does as well. Leave an untreated strip and compare.",
    methodIds: ["aerated-tea", "feeding-tea", "leachate-bloom"],
  },
  {
    id: "bacterial-fungal",
    said: "Vegetables want bacteria, trees want fungi.",
    evidence: "mixed",
    known: "The evidence is thin. Ruchka offers both recipes and prefers neither.",
    methodIds: ["aerated-tea", "leaf-mould-brew"],
  },
  {
    id: "lime",
    said: "Shell in vinegar makes soil less sour.",
    evidence: "none",
    known: "The liquid itself is sour. Measure the soil’s pH before and after.",
    methodIds: ["shell-calcium"],
  },
  {
    id: "by-days",
    said: "It is ready on a certain day.",
    evidence: "wrong",
    known: "Warm drums are quick and cold ones slow. Smell, pH and foam decide.",
    methodIds: [],
  },
  {
    id: "cannot-burn",
    said: "It is natural, so it cannot burn plants.",
    evidence: "wrong",
    known: "Acid, salt and sugar burn leaves and roots. Keep to the dilution and test on a small patch first.",
    methodIds: [],
  },
  {
    id: "ounce",
    said: "One ounce to the gallon is 1:100.",
    evidence: "wrong",
    known: "It is 1:128, weaker by a fifth. Ruchka calculates it exactly.",
    methodIds: [],
  },
  {
    id: "smell-cures",
    said: "A rotten brew gets well again when it is left.",
    evidence: "none",
    known: "Its bad smell may go and its germs may stay. What failed goes on hot compost.",
    methodIds: [],
  },
];

/** What is said of a method in particular. */
export const claimsOf = (methodId: string): readonly Claim[] =>
  CLAIMS.filter(({ methodIds }) => methodIds.includes(methodId));
