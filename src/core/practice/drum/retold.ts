import { findRecipe } from "../../book";
import type { CueMeaning } from "../../book/types";
import type { SignKind } from "../../book/words";
import { calm } from "./players";
import { courseOf, type CourseEvent } from "./course";
import type { Care } from "./deeds";
import type { Ended, Outcome } from "./ending";
import type { Seen } from "./look";
import { coursePlayed, endedOf, sightOf, type Play } from "./play";
import type { PracticeDrum } from "./setup";

/** Signs that a look of practice shows. */
export type SeenKind = Extract<SignKind, "smell" | "surface" | "film" | "liquid" | "solids">;

/** What a sign that was seen meant, and whether the drum was so. */
export interface SignTold {
  readonly hour: number;
  readonly kind: SeenKind | "ph";
  readonly word: string;
  /** What the book says of it; null where it says nothing of this drum. */
  readonly says: CueMeaning | null;
  readonly because: string | null;
  /** Whether the drum was as the sign says. */
  readonly wasSo: boolean | null;
}

/** The one thing to do better. */
export type Better =
  | "nothing"
  | "second-look"
  | "measure-ph"
  | "wait-for-sign"
  | "look-sooner"
  | "smell-before-use"
  | "trust-rot"
  | "second-smell"
  | "wait-longer"
  | "use-in-window"
  | "loose-lid"
  | "come-back"
  | "fewer-looks"
  | "feed-stuck"
  | "warm-cold";

/** A drum told once more, with what was hidden. */
export interface Retold {
  readonly ended: Ended;
  /** Hours at which it was ready from and to, had it been left as it was cared for; null for never. */
  readonly openedH: number | null;
  readonly closedH: number | null;
  readonly offH: number | null;
  readonly untilH: number;
  readonly events: readonly { readonly hour: number; readonly event: CourseEvent }[];
  readonly signs: readonly SignTold[];
  readonly calm: Ended;
  /** What the calm grower did besides looking, each once. */
  readonly calmCares: readonly { readonly hour: number; readonly care: Care }[];
  readonly better: Better;
}

/** A drum is sour enough at this pH; a finished shell drum has used up its acid at that. */
const SOUR_PH = 4;
const SPENT_PH = 5.4;

const wordsOf = (seen: Seen): readonly (readonly [SeenKind, string])[] => [
  ...(seen.smell ?? []).map((word) => ["smell", word] as const),
  ...(["surface", "film", "liquid", "solids"] as const).flatMap((kind) =>
    seen[kind] === undefined || seen[kind] === "none" ? [] : [[kind, seen[kind]] as const],
  ),
];

function signsOf(drum: PracticeDrum, play: Play): SignTold[] {
  const { cues } = findRecipe(drum.methodId, drum.schoolId);
  const course = coursePlayed(drum, play);
  return sightOf(drum, play, course).seen.flatMap((seen) => {
    const moment = course.moments[seen.hour]!;
    const isSo: Record<CueMeaning, boolean> = {
      "not-yet": moment.way < 1 && !moment.isOff,
      "ready": moment.way >= 1 && moment.closing <= 1 && !moment.isOff,
      "past": moment.closing > 1,
      "failed": moment.isOff,
    };
    const words = wordsOf(seen).map(([kind, word]): SignTold => {
      const cue = cues.find((one) => one.kind === kind && one.word === word);
      return {
        hour: seen.hour,
        kind,
        word,
        says: cue?.says ?? null,
        because: cue?.because ?? null,
        wasSo: cue ? isSo[cue.says] : null,
      };
    });
    if (seen.ph === undefined) return words;
    const isReady = drum.name === "shell" ? seen.ph >= SPENT_PH : seen.ph <= SOUR_PH;
    const says = isReady ? "ready" : "not-yet";
    return [...words, { hour: seen.hour, kind: "ph", word: String(seen.ph), says, because: null, wasSo: isSo[says] }];
  });
}

function betterOf(
  drum: PracticeDrum,
  play: Play,
  ended: Ended,
  signs: readonly SignTold[],
  calmLooks: number,
  neverOpened: boolean,
): Better {
  const { outcome, hour } = ended;
  const looks = play.deeds.filter(({ kind }) => kind === "look").length;
  const lastSmell = signs.findLast(({ kind }) => kind === "smell");
  const rotten = signs.filter(({ says }) => says === "failed");
  const measures = signs.some(({ kind }) => kind === "ph");
  const tellers: Record<Outcome, () => Better> = {
    "used-in-time": () => (looks > 2 * Math.max(8, calmLooks) ? "fewer-looks" : "nothing"),
    "used-too-soon": () =>
      (drum.name === "extract" || drum.name === "serum") && !measures
        ? "measure-ph"
        : signs.some((sign) => sign.says === "ready" && sign.hour === signs.at(-1)!.hour)
          ? "second-look"
          : "wait-for-sign",
    "used-too-late": () => "look-sooner",
    "used-spoilt": () =>
      rotten.length > 0 ? "trust-rot" : !lastSmell || hour - lastSmell.hour > 24 ? "smell-before-use" : "second-smell",
    "thrown-out-rightly": () => "nothing",
    "thrown-out-past": () => "use-in-window",
    "thrown-out-sound": () =>
      rotten.length === 1
        ? "second-smell"
        : signs.length > 0 && neverOpened
          ? drum.traits.phAt && drum.name !== "shell"
            ? "feed-stuck"
            : "warm-cold"
          : "wait-longer",
    "burst": () => "loose-lid",
    "left-standing": () => (neverOpened ? "warm-cold" : "come-back"),
  };
  return tellers[outcome]();
}

/** The drum told once more; null while it goes on. */
export function retell(drum: PracticeDrum, play: Play): Retold | null {
  const ended = endedOf(drum, play);
  if (!ended) return null;
  const left = courseOf(drum, play.deeds, drum.untilH);
  const at = (event: CourseEvent) => left.events.find((one) => one.event === event)?.hour ?? null;
  const signs = signsOf(drum, play);
  const calmPlay = calm(drum);
  const calmLooks = calmPlay.deeds.filter(({ kind }) => kind === "look").length;
  const openedH = at("opened");
  return {
    ended,
    openedH,
    closedH: at("closed"),
    offH: at("off"),
    untilH: drum.untilH,
    events: left.events,
    signs,
    calm: endedOf(drum, calmPlay)!,
    calmCares: calmPlay.deeds.flatMap((deed) => (deed.kind === "care" ? [{ hour: deed.hour, care: deed.care }] : [])),
    better: betterOf(drum, play, ended, signs, calmLooks, openedH === null),
  };
}
