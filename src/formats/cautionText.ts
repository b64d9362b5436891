import type { ApplyCaution } from "@/core/apply/cautions";
import { sayDilution } from "./amounts";
import { sayDuration } from "./times";

/** A caution against an application, in words. */
export function sayCaution(caution: ApplyCaution): string {
  switch (caution.code) {
    case "expired":
      return `It is ${sayDuration(caution.hoursPast)} past its keeping time. Smell it and read its pH; compost takes what is doubtful.`;
    case "long-dead":
      return `Its air stopped ${sayDuration(caution.hours)} ago; after ${caution.limitH} h it is foul and goes on nothing but compost.`;
    case "late-for-leaves":
      return `Its air stopped ${sayDuration(caution.hours)} ago; on leaves within ${caution.limitH} h.`;
    case "smelt-off":
      return "It was smelt and found off: the heap or bare ground, and nothing that grows.";
    case "smelt-doubtful":
      return "It was found off before and better later. Let another nose smell it.";
    case "smell-first":
      return caution.because === "hot-spell"
        ? "It stood through a hot spell since it was last smelt. Open it, smell it, say what you found; then it may go out."
        : "It has stood long since it was last smelt. Open it, smell it, say what you found; then it may go out.";
    case "use-unknown":
      return `The book knows no such use of ${caution.method.toLowerCase()}.`;
    case "too-strong":
      return `${sayDilution(caution.partsWater)} is stronger than the strongest in the book (${sayDilution(caution.strongest)}). Patch-test first.`;
    case "leaf-eaten-soon":
      return caution.daysToHarvest === null
        ? `${caution.plot}: its leaves are eaten and no harvest day is set. Sugared living brews stay off such leaves for 90 days before harvest.`
        : `${caution.plot}: its leaves are eaten in ${caution.daysToHarvest} days. Sugared living brews stay off such leaves for 90 days before harvest; your local code decides.`;
  }
}
