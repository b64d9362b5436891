import { SIGN_WORDS, SMELLS } from "../../src/core/book/words";
import { chanceFrom } from "../../src/core/chance";
import type { LogItem } from "../../src/core/judge/log";
import { readPh, readWarmth, type Crew } from "../../src/core/practice/yard/crew";
import { isQuick, type Drum } from "../../src/core/practice/yard/drums";
import { filmAt, liquidAt, smellAt, solidsAt, surfaceAt } from "../../src/core/practice/yard/signs";
import type { World } from "../../src/core/practice/yard/world";

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
    const words = SIGN_WORDS[kind];
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
      chance.uniform() < cold
        ? SMELLS[Math.floor(chance.uniform() * SMELLS.length)]!
        : smellAt(chance, drum.name, shows),
    );
  const surface = doesSurface && surfaceAt(chance, drum.name, shows);
  if (surface) sign("surface", surface);
  if (doesFilm) sign("film", filmAt(chance, shows));
  const solids = doesSolids && solidsAt(chance, drum.name, shows);
  if (solids) sign("solids", solids);
  const liquid = doesSolids && liquidAt(chance, drum.name, shows);
  if (liquid) sign("liquid", liquid);
  if (doesPh && crew.ph && shows.ph !== null) {
    const read = readPh(chance, crew, crew.ph, shows.ph, hour);
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
  return { log, dipC: dips ? readWarmth(chance, crew, liquidC) : null };
}
