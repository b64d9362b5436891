import { SMELLS, SURFACES, FILMS, SOLIDS, LIQUIDS, type SignKind } from "../../src/core/book/words";
import type { LogItem } from "../../src/core/judge/log";
import { chanceFrom, type Chance } from "../../src/core/chance";
import { isQuick, type Drum, type DrumName, type Shows } from "./drums";
import type { World } from "./world";

type Odds = Readonly<Record<string, number>>;
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

const ALL_WORDS: Partial<Record<SignKind, readonly string[]>> = {
  smell: SMELLS,
  surface: SURFACES,
  film: FILMS,
  solids: SOLIDS,
  liquid: LIQUIDS,
};

export interface Crew {
  readonly ph: "meter" | "strip" | null;
  readonly meterOff: (hour: number) => number;
  readonly hasThermometer: boolean;
  readonly thermometerOffC: number;
}

export function drawCrew(chance: Chance, world: World): Crew {
  const kind = chance.uniform();
  const bias = world.metersDrift ? 0.12 * chance.normal() : 0;
  const perDay = world.metersDrift && chance.uniform() < 0.3 ? 0.03 * chance.normal() : 0;
  const dryFromH = world.metersDrift && chance.uniform() < 0.08 ? chance.between(100, 700) : Infinity;
  const dryBy = chance.between(0.5, 1.5);
  return {
    ph: kind < 0.4 ? "meter" : kind < 0.75 ? "strip" : null,
    meterOff: (hour) => bias + (perDay * hour) / 24 + (hour >= dryFromH ? dryBy : 0),
    hasThermometer: chance.uniform() < world.thermometers,
    thermometerOffC: 0.7 * chance.normal(),
  };
}

const pickOf = (chance: Chance, odds: Odds): string => chance.pick(Object.keys(odds), Object.values(odds));
const byWay = (table: ByWay, way: number): Odds => table.find(([limit]) => way <= limit)![1];

/** What is asked for when a decider sends somebody; an ordinary visit sees what it sees. */
export type Wanted = "usual" | "ph" | "smell" | "look";

export interface Look {
  readonly log: readonly LogItem[];
  readonly dipC: number | null;
}

/** What the one who looks at an hour writes down. The same hour of the same drum shows everybody the same. */
export function lookAt(
  drum: Drum,
  crew: Crew,
  world: World,
  seed: number,
  hour: number,
  liquidC: number,
  wanted: Wanted,
): Look {
  const chance = chanceFrom(seed * 7919 + Math.round(hour * 8) * 104_729);
  const shows = drum.at(hour);
  const by = chance.uniform() < world.helper ? "helper" : "grower";
  const cold = world.coldNose[by === "helper" ? 1 : 0];
  const log: LogItem[] = [];
  const sign = (kind: "smell" | "surface" | "film" | "solids" | "liquid", word: string) => {
    const slipped = chance.uniform() < world.slips;
    const words = ALL_WORDS[kind]!;
    log.push({ hour, kind, word: slipped ? words[Math.floor(chance.uniform() * words.length)]! : word, by });
  };
  const quick = isQuick(drum.name);
  const sees = (odds: number) => chance.uniform() < odds;
  const [doesSmell, doesSurface, doesFilm, doesSolids, doesPh, doesDip] = [
    sees(0.8) || wanted !== "usual",
    sees(quick ? 0.8 : 0.45) || wanted === "look" || wanted === "smell",
    sees(0.3) || wanted === "look",
    sees(0.4) || wanted === "look" || wanted === "smell",
    sees(0.3) || wanted === "ph",
    sees(world.dips),
  ];
  if (doesSmell)
    sign(
      "smell",
      chance.uniform() < cold ? SMELLS[Math.floor(chance.uniform() * SMELLS.length)]! : trueSmell(chance, drum, shows),
    );
  const surface = SURFACES_OF[drum.name];
  if (doesSurface && surface)
    sign(
      "surface",
      pickOf(
        chance,
        shows.closing > 1 && SURFACES_PAST[drum.name]
          ? SURFACES_PAST[drum.name]!(shows.closing)
          : byWay(surface, shows.way),
      ),
    );
  if (doesFilm)
    sign(
      "film",
      pickOf(
        chance,
        shows.isOff
          ? { "coloured mould": 3, "white fuzzy": 3, "none": 4 }
          : { "none": 7, "thin pale": 2, "white bubbly": 1, "white fuzzy": 0.3 },
      ),
    );
  const solids = SOLIDS_OF[drum.name];
  if (doesSolids && solids) sign("solids", pickOf(chance, byWay(solids, shows.way)));
  const liquid = LIQUIDS_OF[drum.name];
  if (doesSolids && liquid) sign("liquid", pickOf(chance, byWay(liquid, shows.way)));
  if (doesPh && crew.ph && shows.ph !== null) {
    const read =
      crew.ph === "meter"
        ? Math.round((shows.ph + crew.meterOff(hour) + 0.06 * chance.normal()) * 100) / 100
        : Math.round((shows.ph + 0.22 * chance.normal()) * 2) / 2;
    const value = chance.uniform() < world.slips ? (chance.uniform() < 0.5 ? read + 1 : read - 1) : read;
    log.push({
      hour,
      kind: "ph",
      value: Math.max(1, value),
      instrument: crew.ph,
      spot: "mid-depth",
      settled: true,
      by,
    });
  }
  const dips = doesDip && crew.hasThermometer;
  return { log, dipC: dips ? Math.round(2 * (liquidC + crew.thermometerOffC + 0.3 * chance.normal())) / 2 : null };
}

function trueSmell(chance: Chance, drum: Drum, shows: Shows): string {
  if (shows.isOff && chance.uniform() > STILL_FINE) return pickOf(chance, SMELLS_OFF);
  const past = SMELLS_PAST[drum.name];
  if (past && shows.closing > 1) return pickOf(chance, past);
  return pickOf(chance, byWay(SMELLS_OF[drum.name], shows.way));
}
