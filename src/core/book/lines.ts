import type { IngredientId } from "./ingredients";
import type { FermentModel } from "../ferment/models/types";
import type { Cue, CueMeaning, Ripening, Stage, Step, StepAnswer, TendingTask, UseRate } from "./types";
import type { SignKind } from "./words";
import type { UseId } from "./uses";

/** A use with its parts of water to one of concentrate, strongest first. */
export const rate = (
  use: UseId,
  [strongest, usual, weakest]: readonly [number, number, number],
  everyD: number | null,
  note: string,
): UseRate => ({ use, partsWater: { strongest, default: usual, weakest }, everyD, note });

/** Ripens by a model; younger than so many days it is not called ready. */
export const ripens = (model: FermentModel, minimumAgeD?: number): Ripening =>
  minimumAgeD === undefined ? { type: "ripens", model } : { type: "ripens", model, minimumAgeD };

/** Words of one kind that say the same of a batch. */
export const cues = (kind: SignKind, words: readonly string[], says: CueMeaning, because: string): Cue[] =>
  words.map((word) => ({ kind, word, says, because }));

/** Coloured mould and rot, which fail every brew that crops shall get. */
export const rotten: readonly Cue[] = [
  ...cues("smell", ["putrid"], "failed", "it has rotted"),
  ...cues("film", ["coloured mould"], "failed", "coloured mould can be poisonous"),
];

export const step = (
  id: string,
  text: string,
  why: string,
  adds: readonly IngredientId[] = [],
  extra: Omit<Partial<Step>, "id" | "text" | "why" | "adds"> = {},
): Step => ({ id, text, why, adds, ...extra });

export const answer = (word: string, then: string): StepAnswer => ({ word, fits: true, then });
/** An answer that holds the step until another is given. */
export const notYet = (word: string, then: string): StepAnswer => ({ word, fits: false, then });

export const task = (
  act: TendingTask["act"],
  text: string,
  everyH: number,
  [fromH, untilH]: readonly [number, number?],
  ifMissed: string,
): TendingTask => ({ act, text, everyH, fromH, ...(untilH === undefined ? {} : { untilH }), ifMissed });

/** Done once, on its day; late after half of `lateH`. */
export const onceTask = (
  act: TendingTask["act"],
  text: string,
  span: readonly [number, number?],
  ifMissed: string,
  lateH = 24,
): TendingTask => ({ ...task(act, text, lateH, span, ifMissed), once: true });

export const stage = (
  id: string,
  name: string,
  [fromD, untilD]: readonly [number, number | null],
  lid: Stage["lid"],
  note: string,
  begins?: Stage["begins"],
): Stage => ({ id, name, fromD, untilD, lid, note, ...(begins ? { begins } : {}) });

export const D = 24;
