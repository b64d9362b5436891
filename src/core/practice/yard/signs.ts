import type { Chance } from "../../chance";
import type { DrumName, Shows } from "./drums";

/** Words and how often each is met, by any scale. */
export type Odds = Readonly<Record<string, number>>;
/** Words by how far a drum is: the first whose limit is not passed. */
type ByWay = readonly (readonly [upToWay: number, odds: Odds])[];

const ACID_UNTIL_OPEN: ByWay = [
  [0.4, { "raw sweet": 7, "fresh green": 2, "yeasty": 1 }],
  [0.75, { "raw sweet": 4, "yeasty": 3, "fruity": 1, "yogurt-sour": 1, "cidery": 1 }],
  [1, { "raw sweet": 1.2, "yeasty": 2.3, "cidery": 3, "yogurt-sour": 3, "vinegar": 0.3 }],
];
const SMELLS_OF: Record<DrumName, ByWay> = {
  "extract": [...ACID_UNTIL_OPEN, [Infinity, { "cidery": 5.5, "yogurt-sour": 3.5, "vinegar": 0.6, "yeasty": 0.4 }]],
  "serum": [...ACID_UNTIL_OPEN, [Infinity, { "yogurt-sour": 8, "cidery": 1, "vinegar": 0.6, "yeasty": 0.4 }]],
  "tea": [
    [0.55, { "raw sweet": 8.5, "earthy": 0.3, "neutral": 0.2, "yeasty": 1 }],
    [0.88, { "raw sweet": 7, "earthy": 0.7, "neutral": 0.5, "yeasty": 1, "fishy": 0.8 }],
    [1, { "raw sweet": 5, "earthy": 2.5, "neutral": 1.7, "fishy": 0.8 }],
    [Infinity, { "earthy": 6.5, "neutral": 2.9, "raw sweet": 0.4, "fishy": 0.2 }],
  ],
  "leaf-mould brew": [[Infinity, { earthy: 4, neutral: 3, yeasty: 2, fruity: 1 }]],
  "juice": [
    [0.5, { "raw sweet": 6, "fresh green": 4 }],
    [0.88, { "raw sweet": 6.5, "fresh green": 1.5, "fruity": 1.5, "yeasty": 0.5 }],
    [1, { "raw sweet": 5, "fruity": 3, "yeasty": 2 }],
    [Infinity, { "fruity": 4.5, "yeasty": 4.5, "raw sweet": 0.7, "vinegar": 0.3 }],
  ],
  "shell": [
    [0.8, { vinegar: 9, neutral: 1 }],
    [1, { vinegar: 6, neutral: 4 }],
    [Infinity, { vinegar: 1.5, neutral: 8.5 }],
  ],
  "leaf soak": [
    [0.5, { "fresh green": 7, "earthy": 2, "neutral": 1 }],
    [1, { "fresh green": 2.5, "earthy": 3, "sulphur": 1.5, "ammonia": 1, "neutral": 2 }],
    [Infinity, { earthy: 4, sulphur: 2.5, ammonia: 1.5, neutral: 2 }],
  ],
};
/** After its window closes, by the share of the window that has gone by besides. */
const SMELLS_PAST: Partial<Record<DrumName, Odds>> = {
  "tea": { earthy: 4, neutral: 2.5, fishy: 1, sulphur: 1.5, putrid: 1 },
  "leaf-mould brew": { earthy: 2, neutral: 3, yeasty: 1, vinegar: 2, sulphur: 1, putrid: 1 },
  "juice": { vinegar: 6, yeasty: 3, fruity: 1 },
};
const SMELLS_OFF: Odds = { putrid: 4, sulphur: 3.5, ammonia: 0.8, fishy: 0.4 };
/** So often does one that is off still smell as it should. */
const STILL_FINE = 0.13;

const SURFACES_OF: Partial<Record<DrumName, ByWay>> = {
  "leaf-mould brew": [
    [0.4, { "still": 8, "ring at the wall": 2 }],
    [0.7, { "still": 2, "ring at the wall": 4, "fine bubbles": 4 }],
    [0.9, { "fine bubbles": 3, "ring at the wall": 2, "patches": 5 }],
    [1, { "patches": 8.5, "full head": 1.2, "thick fine head": 0.3 }],
    [Infinity, { "full head": 7, "thick fine head": 2, "patches": 0.7, "collapsing": 0.3 }],
  ],
  "tea": [
    [0.5, { "fine bubbles": 5, "patches": 3, "full head": 2 }],
    [Infinity, { "full head": 6, "thick fine head": 1.5, "patches": 2, "fine bubbles": 1 }],
  ],
  "shell": [
    [0.4, { "fine bubbles": 5, "full head": 3, "patches": 2 }],
    [0.88, { "fine bubbles": 7, "ring at the wall": 1.5, "still": 1.5 }],
    [1, { "fine bubbles": 7, "still": 3 }],
    [Infinity, { "still": 8, "flat": 1, "fine bubbles": 1 }],
  ],
};
const SURFACES_PAST: Partial<Record<DrumName, (closing: number) => Odds>> = {
  "leaf-mould brew": (closing) =>
    closing < 2 ? { "collapsing": 7, "full head": 1, "flat": 2 } : { flat: 8, collapsing: 2 },
  "tea": () => ({ "flat": 4, "fine bubbles": 4, "patches": 2 }),
};
const SOLIDS_OF: Partial<Record<DrumName, ByWay>> = {
  "juice": [
    [0.6, { sunk: 6, floating: 3 }],
    [0.9, { sunk: 4, floating: 6 }],
    [Infinity, { floating: 9, sunk: 1 }],
  ],
  "leaf soak": [
    [0.5, { floating: 8, sunk: 1, bleached: 1 }],
    [0.88, { floating: 6, sunk: 2, bleached: 2 }],
    [1, { floating: 5, sunk: 2.5, bleached: 2.5 }],
    [Infinity, { bleached: 4, sunk: 5, floating: 1 }],
  ],
  "shell": [
    [0.9, { sunk: 8, spongy: 1 }],
    [Infinity, { spongy: 5, sunk: 5 }],
  ],
};
const LIQUIDS_OF: Partial<Record<DrumName, ByWay>> = {
  "leaf soak": [
    [0.4, { clear: 5, cloudy: 4.5, dark: 0.5 }],
    [0.88, { cloudy: 8, dark: 2 }],
    [1, { cloudy: 6.5, dark: 3.5 }],
    [Infinity, { dark: 9, cloudy: 1 }],
  ],
};

const byWay = (table: ByWay, way: number): Odds => table.find(([limit]) => way <= limit)![1];
const pickOf = (chance: Chance, odds: Odds): string => chance.pick(Object.keys(odds), Object.values(odds));

/** What a good nose meets at a drum. */
export function smellAt(chance: Chance, name: DrumName, shows: Shows): string {
  if (shows.isOff && chance.uniform() > STILL_FINE) return pickOf(chance, SMELLS_OFF);
  const past = SMELLS_PAST[name];
  if (past && shows.closing > 1) return pickOf(chance, past);
  return pickOf(chance, byWay(SMELLS_OF[name], shows.way));
}
/** What lies on the liquid; null where this kind shows nothing there worth a word. */
export function surfaceAt(chance: Chance, name: DrumName, shows: Shows): string | null {
  const table = SURFACES_OF[name];
  if (!table) return null;
  const past = SURFACES_PAST[name];
  return pickOf(chance, shows.closing > 1 && past ? past(shows.closing) : byWay(table, shows.way));
}
/** What grows on the liquid. */
export const filmAt = (chance: Chance, shows: Shows): string =>
  pickOf(
    chance,
    shows.isOff
      ? { "coloured mould": 3, "white fuzzy": 3, "none": 4 }
      : { "none": 7, "thin pale": 2, "white bubbly": 1, "white fuzzy": 0.3 },
  );
/** Where the solids are; null where the kind tells nothing by them. */
export function solidsAt(chance: Chance, name: DrumName, shows: Shows): string | null {
  const table = SOLIDS_OF[name];
  return table ? pickOf(chance, byWay(table, shows.way)) : null;
}
/** How the liquid looks; null where the kind tells nothing by it. */
export function liquidAt(chance: Chance, name: DrumName, shows: Shows): string | null {
  const table = LIQUIDS_OF[name];
  return table ? pickOf(chance, byWay(table, shows.way)) : null;
}
