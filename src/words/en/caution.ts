import type { Brought, CeilingSource } from "@/core/apply/brought";
import type { ApplyCaution } from "@/core/apply/cautions";
import type { HourCaution } from "@/core/apply/hourCautions";
import type { Carried } from "@/core/safety/carried";
import { sayDilution } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { sayDuration } from "@/formats/times";
import { speechOf, type Speech } from "../speech";
import { counted, inText, listed } from "@/formats/grammar";

/** What a liquid carries, ending "it holds". */
export const CARRIED_WORDS: Readonly<Record<Carried, string>> = {
  "dung": "dung, with its germs",
  "urine": "urine",
  "milk": "milk, which some people must not eat",
  "unwashed-leaf": "unwashed leaves",
};

/** What adds up on a plot. */
export const BROUGHT_WORDS: Readonly<Record<Brought, string>> = {
  n: "nitrogen",
  k2o: "potash",
  salt: "salt",
  sugar: "sugar",
  acid: "acid",
};
/** Where a ceiling comes from. */
export const CEILING_WORDS: Readonly<Record<CeilingSource, string>> = {
  "nitrates-directive": "170 kg a hectare and year from manure, European Council Directive 91/676",
  "irrigation-water": "as much as 100 mm of good irrigation water brings, Ayers and Westcot 1985",
  "what-crops-take": "about what a heavy crop takes away",
  "judged": "judged; nobody has measured it for such liquids",
};

/** What a liquid carried, in a table's cell. @example sayCarried("milk"); // "milk, which some people must not eat" */
export const sayCarried = (hazard: Carried): string => CARRIED_WORDS[hazard];

/** What speaks against an hour, in words. */
function sayHour(caution: HourCaution, say: Speech): string {
  switch (caution.code) {
    case "full-sun":
      return caution.onLeaves
        ? `The sun is high: wet leaves burn, and what lives in it dies in the light. The sun is low again in ${sayDuration(caution.lowInH)}.`
        : `The sun is high: what lives in it dies on hot dry soil. The sun is low again in ${sayDuration(caution.lowInH)}.`;
    case "rain-on-leaves":
      return caution.inH === 0
        ? "It rains, or is about to: it washes off the leaves. Soil takes it gladly."
        : `Rain is expected in ${caution.inH} h: it washes off the leaves. Soil takes it gladly.`;
    case "leaves-wet":
      return "It has just rained: wet leaves hold none of it. Wait until they are dry.";
    case "wind-drift":
      return `The wind blows at ${say.wind(caution.windMPerS)}: it carries the spray away, onto other beds and people. Wait for calm, or put it on the soil.`;
    case "too-hot-out":
      return `${say.temperature(caution.airC)} is too hot for it: ${caution.onLeaves ? "leaves under stress burn" : "plants under stress take harm, and the soil dries it up"}. Wait for the evening.`;
    case "too-cold-out":
      return `${say.temperature(caution.airC)} is too cold for it: ${caution.onLeaves ? "leaves stay wet and take nothing up" : "nothing in the soil is at work"}.`;
  }
}

const inDays = (days: number) => counted(days, { one: "in # day", other: "in # days" });

function sayBeforeHarvest(caution: Extract<ApplyCaution, { code: "hazard-before-harvest" }>): string {
  const { plot, daysToHarvest, ruleD } = caution;
  const rule = `${ruleD} days before harvest${caution.touchesSoil ? ", as what is eaten touches the soil" : ""}`;
  const from = caution.ownRule ? "the farm’s own rule" : "a cautious rule until the farm sets its own by its certifier";
  const when =
    daysToHarvest === null
      ? `${plot} is eaten, and nobody has said when it is harvested`
      : daysToHarvest === 0
        ? `${plot} is being picked`
        : `${plot} is harvested ${inDays(daysToHarvest)}`;
  return `It holds ${CARRIED_WORDS[caution.hazard]}, and ${when}. It stops ${rule} (${from}). Local law decides.`;
}

const saySoonAgain = ({ plot, daysAgo, everyD }: Extract<ApplyCaution, { code: "again-so-soon" }>): string =>
  [
    counted(daysAgo, {
      zero: `${plot} got it today already.`,
      one: `${plot} got it a day ago.`,
      other: `${plot} got it # days ago.`,
    }),
    ...(everyD === null
      ? []
      : [counted(everyD, { one: "The usual is every day.", other: "The usual is every # days." })]),
    "Too much salt, sugar and acid harms roots.",
  ].join(" ");

/** A caution against an application, in words. */
export function sayCaution(caution: ApplyCaution, say: Speech = speechOf("metric")): string {
  switch (caution.code) {
    case "expired":
      return `It is ${sayDuration(caution.hoursPast)} past its keeping time. Smell it and read its pH; compost takes what is doubtful.`;
    case "long-dead":
      return caution.aired
        ? `Its air stopped ${sayDuration(caution.hours)} ago; after ${caution.limitH} h it is foul and goes on nothing but compost.`
        : `It was at its best ${sayDuration(caution.hours)} ago; after ${caution.limitH} h it is spent: bare soil or compost.`;
    case "late-for-leaves":
      return caution.aired
        ? `Its air stopped ${sayDuration(caution.hours)} ago; on leaves within ${caution.limitH} h.`
        : `It was at its best ${sayDuration(caution.hours)} ago; on leaves within ${caution.limitH} h.`;
    case "smelt-off":
      return "It smells bad. Compost or bare soil only.";
    case "smelt-doubtful":
      return "It smelled bad before. Ask another person to smell it.";
    case "smell-first":
      return caution.because === "hot-spell"
        ? "It was through a hot spell. Smell it and log the result before use."
        : "Not smelled for a long time. Smell it and log the result before use.";
    case "use-unknown":
      return `There is no known use of ${inText(caution.method)}.`;
    case "too-strong":
      return `${sayDilution(caution.partsWater)} is stronger than the strongest usual (${sayDilution(caution.strongest)}). Patch-test first.`;
    case "hazard-on-leaves":
      return `It holds ${CARRIED_WORDS[caution.hazard]}: onto the soil only, never onto leaves. Whoever eats of ${caution.plot} can fall ill.`;
    case "hazard-before-harvest":
      return sayBeforeHarvest(caution);
    case "urine-too-young":
      return `Its urine was ${caution.storedD === null ? "stored nobody wrote down how long" : counted(caution.storedD, { one: "stored # day", other: "stored # days" })}: for food that is eaten raw, as on ${caution.plot}, six months at least.`;
    case "undiluted-on-plants":
      return `Undiluted it burns what grows there. On plants it is never stronger than ${sayDilution(caution.strongest)}; undiluted is for bare soil, compost or char.`;
    case "patch-marked":
      return `A patch of this strength or a weaker one marked the leaves. Go weaker than ${sayDilution(caution.partsWater)}, or leave it off.`;
    case "patch-test-first":
      return caution.waiting
        ? `${sayDilution(caution.partsWater)} is stronger than usual (${sayDilution(caution.usual)}) and its patch test is not looked at yet. Wait a day or two, look, and say what you see.`
        : `${sayDilution(caution.partsWater)} is stronger than usual (${sayDilution(caution.usual)}). Try it on a few leaves first, look after a day or two, then do the rest.`;
    case "full-sun":
    case "rain-on-leaves":
    case "leaves-wet":
    case "wind-drift":
    case "too-hot-out":
    case "too-cold-out":
      return sayHour(caution, say);
    case "again-so-soon":
      return saySoonAgain(caution);
    case "over-ceiling":
      return `${caution.plot} would have ${say.perArea(caution.gPerM2)} of ${BROUGHT_WORDS[caution.what]} in twelve months; ${say.perArea(caution.ceilingGPerM2)} is the most (${CEILING_WORDS[caution.source]}). Leave it out this time, or go weaker.`;
    case "hazard-indoors":
      return `It holds ${CARRIED_WORDS[caution.hazard]}: not into rooms where people live.`;
    case "not-together":
      return "One is sour and the other holds ash: in one can they undo each other, and what one does is lost. Put them on a week apart.";
    case "river-on-leaves":
      return `River or stream water goes onto the leaves of ${caution.plot}, which is eaten, and nobody has heated it: it can carry germs. Take rain, well or tap water, or put it on the soil.`;
    case "near-water":
      return `${caution.plot} lies too near to ${listed(caution.waters)}: what runs off it reaches the water. Nothing is put on it; local law may ask for more.`;
    case "more-than-soaks-in":
      return `${caution.plot} would get ${formatNumber(caution.lPerM2 / caution.mostLPerM2, 2)} times what a bed soaks up at once; the rest runs off. Do it in two goes.`;
    case "leaf-eaten-soon":
      return caution.daysToHarvest === null
        ? `${caution.plot}: its leaves are eaten and no harvest day is set. Sugared living brews stay off such leaves for 90 days before harvest.`
        : `${caution.plot}: its leaves are eaten ${inDays(caution.daysToHarvest)}. Sugared living brews stay off such leaves for 90 days before harvest; local law decides.`;
  }
}
