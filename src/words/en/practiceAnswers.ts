import { INGREDIENTS } from "@/core/book/ingredients";
import { findUse } from "@/core/book/uses";
import type { Answer, Question } from "@/core/practice/answers";
import { sayDilution, sayVolume } from "@/formats/amounts";
import { counted, inText, listed } from "@/formats/grammar";
import { CARRIED_WORDS } from "./caution";
import { MEANINGS, SMELL_NOW } from "./practiceWords";

/** The answer’s first line: what to do. */
export function sayAnswer(answer: Answer, question: Question, units: "metric" | "us"): string {
  switch (answer.code) {
    case "no-such-use":
      return `No. The recipe has no use on ${answer.on === "leaves" ? "leaves" : "the soil of growing plants"}.`;
    case "never-on-leaves":
      return `No, never on leaves: it holds ${CARRIED_WORDS[answer.hazard]}.`;
    case "wait-before-harvest":
      return `Only if the harvest is ${counted(answer.days, { one: "1 day", other: "# days" })} away or more: it holds ${CARRIED_WORDS[answer.hazard]}. Then ${sayDilution(answer.partsWater)}.`;
    case "may":
      return `Yes: ${inText(findUse(answer.use).name)}, ${sayDilution(answer.partsWater)} (1 part to ${answer.partsWater} parts water). Log it under Field: there Ruchka checks the bed, its harvest and the weather.`;
    case "smell":
      return `${answer.word}: ${MEANINGS[answer.says]}, ${answer.because}. ${SMELL_NOW[answer.says]}`;
    case "dose":
      return `${sayVolume(answer.litres, units)} into a can of ${sayVolume(question.kind === "how-much" ? question.canL : 0, units)}: ${sayDilution(answer.partsWater)}, ${inText(findUse(answer.use).name)}.`;
    case "keeps":
      return answer.hours === null
        ? "That is unknown. Smell it before each use."
        : answer.isLiving
          ? `It is alive: use it within ${answer.hours} h on soil.`
          : `${counted(Math.round(answer.hours / 24), { one: "1 day", other: "# days" })}, ${answer.place}.`;
    case "contents":
      return `${listed(answer.ingredients.map((id) => inText(INGREDIENTS[id as keyof typeof INGREDIENTS].name)))}.`;
    case "unknown":
      return "Ruchka does not know this. Ask a grower of this farm before you do anything.";
  }
}
