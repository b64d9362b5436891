import { codeOf } from "@/core/practice/drum/setup";
import type { Judgement } from "@/core/practice/judgement";
import { YARD_METHODS, type DrumName } from "@/core/practice/yard/drums";

/** A drum that nobody here has had, or as likely as not. */
export const anySeed = (): number => 1 + Math.floor(Math.random() * 9999);
export const hrefOfDrum = (name: DrumName, seed = anySeed()): string => `/practice/drum/${codeOf(name, seed)}`;
export const anyDrum = (): string => hrefOfDrum(YARD_METHODS[Math.floor(Math.random() * YARD_METHODS.length)]!.name);

/** Where a kind of judgement is practised. */
export const hrefFor = (judgement: Judgement): string =>
  judgement === "dose" || judgement === "load"
    ? "/practice/sums"
    : judgement === "caution"
      ? "/practice/safety"
      : "drum";
