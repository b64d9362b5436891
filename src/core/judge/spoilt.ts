import type { VerdictReason } from "./reasons";
import { failures } from "./reasons";
import type { JudgeInput } from "./evidence";
import { signsOf } from "./log";
import { isRot } from "./wordClasses";

export interface Spoilt {
  /** Hold: do not apply, look again. Discard: never on a crop. */
  readonly level: "hold" | "discard";
  readonly reasons: readonly VerdictReason[];
}

const MOULD = "coloured mould";

/**
 * Whether a batch must not be used. Mould with colours, two failure signs apart, or a rule of the model discards it for good; one such sign
 * alone holds it. Neither is lifted by a good smell later, only by correcting the entry: noses hope.
 */
export function spoiltOf({ recipe, log, forecast }: JudgeInput): Spoilt | null {
  const failed = failures(recipe, log);
  const { spoilage } = forecast;
  const hard = spoilage.hard.map((rule): VerdictReason => ({ code: "hard-rule", rule }));
  if (failed.length === 0 && spoilage.level !== "discard" && spoilage.level !== "hold") return null;
  const firstFailH = Math.min(
    ...signsOf(log)
      .filter(({ kind, word }) => failed.some((reason) => reason.kind === kind && reason.word === word))
      .map(({ hour }) => hour),
  );
  const laterGood = signsOf(log).some(
    ({ kind, word, hour }) => kind === "smell" && hour > firstFailH && !isRot(kind, word),
  );
  const unsafe =
    spoilage.level === "discard" ||
    failed.some(({ word }) => word === MOULD) ||
    new Set(failed.map(({ word }) => word)).size > 1;
  const alike = failed.length - new Set(failed.map(({ word }) => word)).size > 0;
  const level = unsafe || alike ? "discard" : "hold";
  // The same word twice is one reason.
  const told = failed.filter(({ word }, index) => failed.findIndex((other) => other.word === word) === index);
  const reasons: VerdictReason[] = [...hard, ...told.slice(-2)];
  return {
    level,
    reasons: level === "hold" ? [...reasons, { code: "hold", chance: spoilage.chance, laterGood }] : reasons,
  };
}
