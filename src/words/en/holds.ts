import type { HazardReason, DungAge } from "@/core/safety/provenance";
import type { HoldReason } from "@/core/stock/lotState";
import { sayDay } from "@/formats/times";

const DUNG: Record<DungAge, (animal: string) => string> = {
  fresh: (animal) => `fresh ${animal} dung: germs alive`,
  dry: (animal) => `dried ${animal} dung: drying does not kill its germs`,
  aged: (animal) => `aged ${animal} dung: fewer germs, not none`,
  composted: (animal) => `hot-composted ${animal} dung: take the same care, unless its heat was logged`,
};

type Of<C extends HoldReason["code"]> = Extract<HoldReason, { readonly code: C }>;

/** Why a lot is held back, or what it carries: part of a sentence, in small letters. */
export const HOLDS: { readonly [C in HoldReason["code"]]: (reason: Of<C>) => string } = {
  "dung": ({ age, animal }) => DUNG[age](animal),
  "urine-stored": ({ donor, collectedUntil, holdD, notBefore }) =>
    `urine of ${donor}, collected until ${sayDay(collectedUntil)}: store it ${holdD} days, not before ${sayDay(notBefore)}`,
  "urine-medicine": () => "from somebody who takes medicine",
  "char-source": ({ source }) =>
    source === "treated or painted wood"
      ? "char of treated or painted wood holds arsenic, copper or lead"
      : source === "briquettes"
        ? "briquettes hold coal, borax and starch"
        : "unknown what it was burnt from",
  "beans-crippled": () => "beans sown in it came up crippled: weedkiller",
  "beans-sown": ({ sownOn }) => `bean test sown ${sayDay(sownOn)}, not read yet`,
  "herbicide-untested": () => "may carry weedkiller, no bean test yet",
  "stood-hot": () => "a live culture that stood hot: it may be dead",
  "handful": ({ word }) => `a handful of it failed: ${word}`,
  "past-day": ({ isLiving, day }) => `${isLiving ? "a live culture past" : "past"} its day (${sayDay(day)})`,
};

/** @example sayHold({ code: "stood-hot" }); // "a live culture that stood hot: it may be dead" */
export const sayHold = (reason: HoldReason | HazardReason): string =>
  (HOLDS[reason.code] as (of: HoldReason) => string)(reason);
