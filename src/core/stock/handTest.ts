import { BALL_TEST, BALL_WORDS } from "../gather/wormBin";

/** One finding of a handful: whether the lot may go in, and what is said of it. */
export interface HandFinding {
  readonly word: string;
  readonly fit: boolean;
  readonly say: string;
}

const BALL: readonly HandFinding[] = BALL_WORDS.map((word) => ({ word, ...BALL_TEST[word] }));

const COMPOST: readonly HandFinding[] = [
  { word: "cool, crumbly, smells of soil", fit: true, say: "Ripe: it may go in." },
  {
    word: "warm inside, or stalks still whole",
    fit: false,
    say: "Still working: turn it, and press again in three weeks.",
  },
  { word: "of ammonia, or slimy", fit: false, say: "Too rich or without air: back into the hot heap." },
];

const LEAF_MOULD: readonly HandFinding[] = [
  { word: "smells of woods, threads run through it", fit: true, say: "Lively: it may go in." },
  {
    word: "few threads, dry at the edges",
    fit: true,
    say: "Weak: it may go in and takes longer. Mist the rest under a loose lid or cloth.",
  },
  { word: "sour or dead", fit: false, say: "Dead: gather afresh; this goes on hot compost." },
];

const HAND_TESTS: Readonly<Record<string, readonly HandFinding[]>> = {
  "castings": BALL,
  "compost": COMPOST,
  "leaf-mould": LEAF_MOULD,
};

/** What a handful of an ingredient may be found to be; empty where a handful tells nothing. */
export const handTestOf = (ingredientId: string): readonly HandFinding[] => HAND_TESTS[ingredientId] ?? [];

/** What was found of a lot, as pass or fail; null for what is not in the test. */
export const judgeHandful = (ingredientId: string, word: string): HandFinding | null =>
  handTestOf(ingredientId).find((finding) => finding.word === word) ?? null;
