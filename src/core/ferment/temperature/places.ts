import { afterDips, grouped, spreadOf, type Dip, type Guess, type Outside, type Vessel } from "./placeGuesses";

/** Where a vessel stands, as a grower says it in a tap. */
export const PLACE_KINDS = ["unsaid", "shade", "sun", "shed", "cellar", "indoors", "greenhouse"] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** A place, with how warm it is where that is known, °C. */
export interface Place {
  readonly kind: PlaceKind;
  readonly celsius?: readonly [low: number, high: number];
}

/**
 * How a place's own air goes with the air outside: its mean against the day's mean outside, or about a mean of its own, and how much of
 * day and night comes through. All judged.
 */
interface Character {
  readonly offsetK: number;
  /** Warmth of its own, °C; `follows` is the share of the season outside that it goes along with. */
  readonly own?: { readonly celsius: number; readonly follows: number; readonly atLeast: boolean };
  readonly swing: number;
  /** How unlike each other such places are, K. */
  readonly sdK: number;
}

const CHARACTERS = {
  shade: { offsetK: 0, swing: 1, sdK: 1 },
  sun: { offsetK: 3, swing: 1.5, sdK: 2 },
  shed: { offsetK: 1.8, swing: 0.4, sdK: 1.8 },
  cellar: { offsetK: 0, own: { celsius: 13, follows: 0.25, atLeast: false }, swing: 0.1, sdK: 2 },
  indoors: { offsetK: 0, own: { celsius: 20.5, follows: 0, atLeast: true }, swing: 0.2, sdK: 2 },
  greenhouse: { offsetK: 6, swing: 1.8, sdK: 2.5 },
  heated: { offsetK: 0, own: { celsius: 24, follows: 0, atLeast: true }, swing: 0.2, sdK: 2 },
} as const satisfies Record<string, Character>;

/** How often drums of which nobody said where stand in each; judged. */
const UNSAID: readonly (readonly [keyof typeof CHARACTERS, number])[] = [
  ["shade", 0.24],
  ["sun", 0.12],
  ["shed", 0.2],
  ["cellar", 0.1],
  ["indoors", 0.2],
  ["greenhouse", 0.09],
  ["heated", 0.05],
];

/** One in so many drums was moved since, has a heater that nobody logged, or got the wrong tap. */
const SAID_WRONG = 0.05;
/** Below this the place that was said does not go with what was dipped. */
const SAID_STANDS = 0.5;

type PlaceCharacter = keyof typeof CHARACTERS;
const CHARACTER_NAMES = Object.keys(CHARACTERS) as PlaceCharacter[];

/** What earlier batches in a vessel tell of each kind of place that it may stand in. */
export type LearnedPlace = Readonly<
  Record<
    PlaceCharacter,
    {
      /** How well what was dipped fitted it: ln of its likelihood. */
      readonly fit: number;
      /** How much warmer than its kind, and how unsure that is, K. */
      readonly offsetK: number;
      readonly sdK: number;
    }
  >
>;
/** The next batch may stand a little elsewhere, or in another season, K; and one in so many was moved. */
const MOVES_K = 0.8;
const MOVED = 0.1;
/** Batches of one vessel are not all news of each other. */
const NEWS = 0.7;

/** One way the surroundings may be, over the hours asked for. */
export interface Surroundings {
  readonly weight: number;
  /** What was dipped does not go with the place that was said: it stands elsewhere, or is heated. */
  readonly elsewhere: boolean;
  readonly airC: Float64Array;
  readonly sdC: Float64Array;
}

const DAY_H = 24;
/** Mean of the day so far, smoothed over one. */
function dailyMean({ hours, airC }: Outside): Float64Array {
  const mean = new Float64Array(hours.length);
  // The first day's own mean, not its first hour.
  let [sum, count] = [0, 0];
  for (let index = 0; index < hours.length && hours[index]! <= DAY_H; index += 1) {
    sum += airC[index]!;
    count += 1;
  }
  let value = count > 0 ? sum / count : (airC[0] ?? 0);
  for (let index = 0; index < hours.length; index += 1) {
    const h = index > 0 ? hours[index]! - hours[index - 1]! : 0;
    value += (airC[index]! - value) * (1 - Math.exp(-h / DAY_H));
    mean[index] = value;
  }
  return mean;
}

/** Mean warmth of a place over some days, by the mean outside, °C: for planning months ahead. A place that nobody said is taken as shade. */
export function meanOfPlace(place: Place, outsideC: number): number {
  const { offsetK, own }: Character = saidCharacter(
    place.kind === "unsaid" && !place.celsius ? { kind: "shade" } : place,
  );
  const kept = own ? own.celsius + own.follows * (outsideC - own.celsius) : outsideC;
  return (own?.atLeast ? Math.max(kept, outsideC) : kept) + offsetK;
}

function airIn({ offsetK, own, swing }: Character, { airC }: Outside, daily: Float64Array): Float64Array {
  const inside = new Float64Array(airC.length);
  for (let index = 0; index < airC.length; index += 1) {
    const mean = daily[index]!;
    const kept = own ? own.celsius + own.follows * (mean - own.celsius) : mean;
    const base = (own?.atLeast ? Math.max(kept, mean) : kept) + offsetK;
    inside[index] = base + swing * (airC[index]! - mean);
  }
  return inside;
}

const meanOf = (values: Float64Array): number => values.reduce((sum, value) => sum + value, 0) / values.length;

interface MayBe {
  readonly character: Character;
  /** None for a place whose warmth was said. */
  readonly name: PlaceCharacter | null;
  readonly weight: number;
  readonly isSaid: boolean;
}

const unsaid = (share: number): MayBe[] =>
  UNSAID.map(([name, weight]) => ({ character: CHARACTERS[name], name, weight: share * weight, isSaid: false }));

function charactersOf(place: Place, isDipped: boolean): MayBe[] {
  if (place.kind === "unsaid" && !place.celsius) return unsaid(1);
  const said: MayBe = {
    character: saidCharacter(place),
    name: place.celsius || place.kind === "unsaid" ? null : place.kind,
    weight: 1 - SAID_WRONG,
    isSaid: true,
  };
  return isDipped ? [said, ...unsaid(SAID_WRONG)] : [said];
}

function saidCharacter({ kind, celsius }: Place): Character {
  if (celsius) {
    const [low, high] = celsius;
    const swing = kind === "unsaid" ? 0.4 : CHARACTERS[kind].swing;
    const own = { celsius: (low + high) / 2, follows: 0.1, atLeast: false };
    return { offsetK: 0, own, swing: Math.min(1, swing), sdK: Math.max(0.8, (high - low) / 3) };
  }
  return CHARACTERS[kind as Exclude<PlaceKind, "unsaid">];
}

const MOST_GROUPS = 3;
/** What hardly can be is left out. */
const LEAST_WEIGHT = 0.01;

/**
 * What one more batch tells of where its vessel stands.
 * @param outside air outside at ascending hours, °C, as it was read
 * @param before what the batches before it told
 */
export function learnPlace(
  outside: Outside,
  dips: readonly Dip[],
  vessel: Vessel,
  before: LearnedPlace | null,
): LearnedPlace {
  const daily = dailyMean(outside);
  const learned = CHARACTER_NAMES.map((name) => {
    const known = before?.[name];
    const character = CHARACTERS[name];
    const offsetK = known?.offsetK ?? 0;
    const airC = airIn(character, outside, daily).map((celsius) => celsius + offsetK);
    const guess = { weight: 1, isSaid: false, airC, sdK: known ? Math.hypot(known.sdK, MOVES_K) : character.sdK };
    const after = afterDips({ ...guess, meanC: meanOf(airC) }, outside, dips, vessel);
    return [name, { fit: (known?.fit ?? 0) + after.fit, offsetK: offsetK + after.offsetK, sdK: after.sdK }] as const;
  });
  return Object.fromEntries(learned) as LearnedPlace;
}

/** Kinds of place by how likely each is before this batch, after what earlier ones told. */
function afterEarlier(maybe: readonly MayBe[], learned: LearnedPlace | undefined): MayBe[] {
  if (!learned) return [...maybe];
  const best = Math.max(...Object.values(learned).map(({ fit }) => fit));
  const told = maybe.map(({ name, weight }) =>
    name === null ? weight : weight * Math.exp(NEWS * (learned[name].fit - best)),
  );
  const total = told.reduce((sum, weight) => sum + weight, 0);
  return maybe.map((one, index) => ({ ...one, weight: MOVED * one.weight + ((1 - MOVED) * told[index]!) / total }));
}

/**
 * The surroundings a vessel may stand in, as few groups of like warmth with their chances: from where it was said to stand, from what its
 * earlier batches told, and from what was dipped in its liquid, which tells the place once the vessel has had time to take its warmth on.
 * @param outside air outside at ascending hours, °C, with how unsure it is, K
 * @param dips in the order of the clock, before anything was done to the vessel's warmth
 */
export function surroundingsOf(
  place: Place,
  outside: Outside,
  dips: readonly Dip[],
  vessel: Vessel,
  learned?: LearnedPlace,
): Surroundings[] {
  const daily = dailyMean(outside);
  const guesses = afterEarlier(charactersOf(place, dips.length > 0), learned).map(
    ({ character, name, weight, isSaid }): Guess => {
      const known = name === null ? undefined : learned?.[name];
      const airC = airIn(character, outside, daily);
      if (known) for (let index = 0; index < airC.length; index += 1) airC[index]! += known.offsetK;
      const sdK = known ? Math.min(character.sdK, Math.hypot(known.sdK, MOVES_K)) : character.sdK;
      return { weight, isSaid, airC, sdK, meanC: meanOf(airC) };
    },
  );
  const fitted = guesses.map((guess) => afterDips(guess, outside, dips, vessel));
  const best = Math.max(...fitted.map(({ fit }) => fit));
  const weighed = fitted.map((guess) => ({ ...guess, weight: guess.weight * Math.exp(guess.fit - best) }));
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const said = weighed.find(({ isSaid }) => isSaid);
  const saidHolds = said !== undefined && said.weight / total >= SAID_STANDS;
  const kept = saidHolds ? [said] : weighed.filter(({ weight }) => weight / total >= LEAST_WEIGHT);
  const keptTotal = kept.reduce((sum, { weight }) => sum + weight, 0);
  return grouped(kept, MOST_GROUPS).map((group) => {
    const { sdK, weight } = spreadOf(group);
    const airC = new Float64Array(outside.hours.length);
    for (const guess of group)
      for (let index = 0; index < airC.length; index += 1) airC[index]! += (guess.weight / weight) * guess.airC[index]!;
    return {
      weight: weight / keptTotal,
      elsewhere: said !== undefined && !saidHolds,
      airC,
      sdC: outside.sdC.map((sd) => Math.hypot(sd, sdK)),
    };
  });
}
