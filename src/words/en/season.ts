import { USES, type UseId } from "@/core/book/uses";
import type { SeasonDeed } from "@/core/plan/hand/deeds";
import { WHAT_IF, type SeasonWhatIf } from "@/core/plan/hand/whatIf";
import type { ReasonFacts } from "@/core/plan/reasons/facts";
import type { Mend } from "@/core/plan/reasons/mend";
import type { SinceThen } from "@/core/plan/farm";
import type { PlanBatch, Reason } from "@/core/plan/season";
import type { Broken, PlanRule } from "@/core/plan/verify";
import { sayStock, sayVolume, type UnitSystem } from "@/formats/amounts";
import { counted, inText, listed } from "@/formats/grammar";

/** How days, batches, ingredients and figures of a season are called. */
export interface SeasonSpeech {
  readonly day: (day: number) => string;
  readonly week: (week: number) => string;
  readonly volume: (litres: number) => string;
  readonly minutes: (minutes: number) => string;
  readonly batch: (id: string) => string;
  readonly ingredient: (id: string) => string;
  readonly need: (id: string) => string;
}
const DAYS = { one: "# day", other: "# days" };

/** A reason in a word or two, for a list. */
export const SEASON_REASONS: Readonly<Record<Reason, string>> = {
  "past": "its days are over",
  "too-slow": "not enough time to make it",
  "cold": "too cold, or too slow",
  "ingredient": "an ingredient is missing",
  "vessel": "no vessel is free",
  "air": "no air line is free",
  "cans": "all cans are full",
  "labour": "not enough hours",
  "spacing": "too close to another application",
  "shelf": "it does not keep so long",
  "combined": "several limits at once",
  "more-time": "a longer search may find room",
};

const DETAILS: { readonly [R in Reason]: (facts: ReasonFacts, say: SeasonSpeech) => string } = {
  "past": ({ wantedDay }, say) => `Its days were over by ${say.day(wantedDay)}.`,
  "too-slow": ({ takesD, wantedDay }, say) =>
    takesD === undefined
      ? "It can't be made in any vessel."
      : `It takes ${counted(takesD, DAYS)} from today at the soonest; wanted by ${say.day(wantedDay)}.`,
  "cold": ({ readyDay, wantedDay }, say) =>
    readyDay === undefined
      ? "It would go if it were warmer: no start day gets it ready."
      : readyDay > wantedDay
        ? `It would go if it were ready sooner: ${say.day(readyDay)} at the earliest; wanted by ${say.day(wantedDay)}.`
        : "It would go if it took fewer days than it does then.",
  "ingredient": ({ ingredient, ingredientDay }, say) => {
    const name = ingredient === undefined ? "every ingredient" : say.ingredient(ingredient);
    return ingredientDay === undefined || !Number.isFinite(ingredientDay)
      ? `It would go if there were enough of ${name}.`
      : `It would go if there were enough of ${name}; there is some from ${say.day(ingredientDay)}.`;
  },
  "vessel": ({ batches = [] }, say) =>
    batches.length === 0
      ? "It would go if there were a vessel for it."
      : `It would go if a vessel were free: ${listed(batches.map(say.batch))} stand there then.`,
  "air": ({ batches = [] }, say) =>
    batches.length === 0
      ? "It would go if there were an air line for it."
      : `It would go if there were one more air line: ${listed(batches.map(say.batch))} take them.`,
  "cans": ({ cans = 0 }) =>
    `It would go if there were more to keep it in: ${counted(cans, { zero: "there are no cans", one: "the one can is full", other: "all # cans are full" })}.`,
  "labour": ({ week, usedMin = 0, thereMin = 0 }, say) =>
    week === undefined
      ? "It would go if there were more hours."
      : `It would go if there were more hours ${say.week(week)}: ${say.minutes(usedMin)} of ${say.minutes(thereMin)} are taken.`,
  "spacing": ({ beside, besideDay }, say) =>
    beside === undefined || besideDay === undefined
      ? "It would go if it had not to stand so far from others."
      : `It would go if it had not to stand so far from ${say.need(beside)} on ${say.day(besideDay)}.`,
  "shelf": ({ lifeD = 0 }) =>
    `It would go if it kept longer: it is good for ${counted(lifeD, { zero: "its day only", one: "one day", other: "# days" })}.`,
  "combined": () => "Several limits at once stand in its way; no two of them alone.",
  "more-time": () => "It would fit beside what is planned: let the search run longer.",
};
/** A reason with its figures. "Would go if", never "because of": it holds for the plan as it is. */
export const saySeasonReason = (facts: ReasonFacts, say: SeasonSpeech): string => DETAILS[facts.reason](facts, say);

/** What could mend it. */
export function sayMend(mend: Mend, say: SeasonSpeech): string {
  switch (mend.kind) {
    case "cans":
      return counted(mend.more, { one: "one more can", other: "# more cans" });
    case "air-line":
      return "one more air line";
    case "minutes":
      return `${say.minutes(mend.more)} more work ${say.week(mend.week)}`;
    case "vessel":
      return `one more vessel of ${say.volume(mend.volumeL)}`;
    case "pack":
      return `${say.ingredient(mend.ingredient)} at hand today`;
    case "day-later":
      return counted(mend.more, { one: "one day later", other: "# days later" });
  }
}

/** How things of a season are called, by their ids. */
export interface SeasonNames {
  readonly inputs: Readonly<Record<string, string>>;
  readonly vessels: Readonly<Record<string, string>>;
  readonly plots: Readonly<Record<string, string>>;
  readonly ingredients: Readonly<Record<string, string>>;
  /** Where each ingredient was gathered before. */
  readonly places: Readonly<Record<string, readonly string[]>>;
}
export interface DeedSaid {
  readonly title: string;
  readonly amount: string;
  readonly where: string;
}
/** Some of many, and how many more. */
const someOf = (names: readonly string[], most: number): string =>
  listed(
    names.length > most
      ? [...names.slice(0, most), counted(names.length - most, { one: "one more", other: "# more" })]
      : names,
  );

/** Kinds of work in a plan. */
export const DEED_NAMES: Readonly<Record<SeasonDeed["kind"], string>> = {
  order: "ordering",
  gather: "gathering",
  start: "starting",
  strain: "straining",
  apply: "applying",
};

/** What is to be done on a day. @param most plots that are named one by one */
export function sayDeed(deed: SeasonDeed, names: SeasonNames, units: UnitSystem, most = Infinity): DeedSaid {
  const nameOf = (kind: Exclude<keyof SeasonNames, "places">, id: string): string => names[kind][id] ?? id;
  switch (deed.kind) {
    case "order":
      return {
        title: `Order ${inText(nameOf("ingredients", deed.ingredient))}`,
        amount: counted(deed.packs, { one: "one pack", other: "# packs" }),
        where: "",
      };
    case "gather":
      return {
        title: `Gather ${inText(nameOf("ingredients", deed.ingredient))}`,
        amount: sayStock(deed.amount, deed.unit, units),
        where: someOf(names.places[deed.ingredient] ?? [], most),
      };
    case "start":
    case "strain":
      return {
        title: `${deed.kind === "start" ? "Start" : "Strain"} ${inText(nameOf("inputs", deed.input))}`,
        amount: sayVolume(deed.litres, units),
        where: nameOf("vessels", deed.vessel),
      };
    case "apply":
      return {
        title: `Apply ${inText(nameOf("inputs", deed.input))}, ${inText(USES[deed.use as UseId]?.name ?? deed.use)}`,
        amount: sayVolume(deed.litres, units),
        where: someOf(
          deed.plantings.map((id) => nameOf("plots", id)),
          most,
        ),
      };
  }
}

/** What has changed on the farm since a plan was taken. */
export function saySince(one: SinceThen, names: SeasonNames, day: (day: number) => string): string {
  const batchOf = ({ input, vessel }: PlanBatch): string =>
    `${names.inputs[input] ?? input} in ${names.vessels[vessel] ?? "a vessel that is gone"}`;
  switch (one.code) {
    case "not-there":
      return `${batchOf(one.batch)} does not stand there now; it was to be started ${day(one.batch.startDay)}.`;
    case "later":
      return `${batchOf(one.batch)} will be ready ${day(one.readyDay)}, not ${day(one.batch.readyDay)}.`;
    case "vessel-gone":
      return `${batchOf(one.batch)}, ${day(one.batch.startDay)}: the vessel is not in use any more.`;
    case "new-needs":
      return counted(one.count, { one: "One more application is wanted.", other: "# more applications are wanted." });
    case "needs-gone":
      return counted(one.count, {
        one: "One planned application is not wanted any more.",
        other: "# planned applications are not wanted any more.",
      });
  }
}

/** What is asked of a season. */
export const sayWhatIf = (change: SeasonWhatIf, units: UnitSystem): string =>
  ({
    "one-more-drum": `One more drum of ${sayVolume(WHAT_IF.drumL, units)}`,
    "helper-a-day": "A helper for a day a week",
    "no-next-week": "No work next week",
    "two-colder-weeks": "Two weeks colder",
  })[change];

/** What breaks where a plan breaks a rule; one line for each rule. */
export const PLAN_RULES: Readonly<Record<PlanRule, string>> = {
  "start": "Its start lies outside the season.",
  "horizon": "It is not ready within the season.",
  "closed": "Nobody works on that day.",
  "forbidden": "You have ruled that out.",
  "cold": "It can't be started that day in that vessel: too cold.",
  "duration": "Its days do not fit its vessel and start.",
  "vessel": "That vessel can't hold it, or is not there.",
  "fill": "Too much or too little for that vessel.",
  "empty": "It would be emptied before it is ready.",
  "hold": "It would stand in its vessel too long.",
  "overlap": "Two batches would stand in one vessel.",
  "air": "More air lines than there are.",
  "early": "It would be drawn on before it is ready.",
  "expired": "It would be drawn on after it has gone over.",
  "wrong-input": "It would be drawn on for something else.",
  "overdraw": "More would be drawn than it gives.",
  "feed": "What goes into it is not there on its day.",
  "window": "The application falls outside its days.",
  "past": "The application falls before today.",
  "dose": "The dose would be too weak or too strong.",
  "twice": "It would be applied twice.",
  "before-harvest": "Too close to picking.",
  "gap": "Too soon after the one before.",
  "separation": "Too close to something that does not go with it.",
  "cans": "More cans than there are.",
  "ingredient": "An ingredient is short on that day.",
  "order": "It would have to be ordered before today.",
  "forage": "More than there is to gather then.",
  "labour": "More work that week than there are hours.",
  "running": "A batch that runs already would be changed.",
  "pinned": "Something pinned would be moved.",
  "ref": "It names something that is not there.",
  "id": "Two things have one name.",
  "type": "A day or an amount is not a number that can be.",
  "unmet-list": "What goes unmet is not named as it is.",
  "claim": "Its score is not what it says.",
};
export const sayPlanRule = ({ code }: Pick<Broken, "code">): string => PLAN_RULES[code];

export const SEASON_FAULTS = {
  "not-monday": (name: string) => `The first day of a season is a Monday; ${name} is none.`,
  "outside": (name: string) => `Today (day ${name}) lies outside the season.`,
  "week-without-minutes": (name: string) => `Each week wants its minutes; there are only ${name}.`,
  "id-twice": (name: string) => `"${name}" stands twice.`,
  "unknown": (name: string) => `There is no "${name}".`,
} as const;
