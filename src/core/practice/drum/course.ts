import { chanceFrom } from "../../chance";
import { offFromOf, NO_BLOOM_BELOW_C, type Shows } from "../yard/drums";
import { anHourOn, aroundC } from "../yard/places";
import type { Care, Deed } from "./deeds";
import type { PracticeDrum } from "./setup";

/** What happened to a drum that its learner may not have seen. */
export type CourseEvent = "opened" | "closed" | "off" | "stuck" | "unstuck" | "burst" | "power-gone" | "no-bloom";

/** What a drum truly is at an hour. */
export interface Moment extends Shows {
  readonly hour: number;
  readonly liquidC: number;
  /** Over-pressure under a tight lid, bar. */
  readonly pressureBar: number;
  readonly isAirOn: boolean;
  readonly isStuck: boolean;
}

/** A drum from its fill to an hour, with all that was done to it. */
export interface Course {
  readonly moments: readonly Moment[];
  readonly events: readonly { readonly hour: number; readonly event: CourseEvent }[];
}

/** Gas of a kind under a tight lid, bar an hour at its reference warmth and full work. */
const GAS_BAR: Partial<Record<PracticeDrum["name"], number>> = {
  "extract": 0.03,
  "serum": 0.025,
  "juice": 0.04,
  "shell": 0.12,
  "leaf soak": 0.012,
};
/** A lid bulges at so much, and flies at so much, bar. */
export const BULGES_AT_BAR = 0.35;
export const BURSTS_AT_BAR = 2;
/** Without air a living tea goes off after so many hours at 20 °C. */
const AIRLESS_H = 6;
/** Chlorine holds a culture back for so long, and so much of it stays back for good. */
const CHLORINE_H = 48;
const CHLORINE_RATE = 0.35;
const CHLORINE_LEFT = 0.8;

interface FaultEffect {
  /** Share of the opening at which the fault makes it go off; null where it does not this time. */
  readonly offAt: number | null;
  readonly sticksAt: number;
  readonly rate: (hour: number) => number;
}

/** What a fault of the fill does to this drum; the drum's own luck decides where it may or may not tell. */
function effectOf({ name, fault, luck }: PracticeDrum): FaultEffect {
  const none: FaultEffect = { offAt: null, sticksAt: Infinity, rate: () => 1 };
  const isQuick = name === "tea" || name === "leaf-mould brew";
  switch (fault) {
    case null:
    case "tight-lid":
      return none;
    case "tap-water":
      return {
        offAt: null,
        sticksAt: (name === "extract" || name === "serum") && luck < 0.35 ? 0.7 : Infinity,
        rate: (hour) => (hour < CHLORINE_H ? CHLORINE_RATE : CHLORINE_LEFT),
      };
    case "too-sweet":
      return isQuick ? { ...none, offAt: luck < 0.7 ? 0.5 + 0.6 * luck : null } : { ...none, rate: () => 0.75 };
    case "too-little-sugar":
      return name === "juice"
        ? { ...none, offAt: luck < 0.6 ? 0.4 + luck : null }
        : { ...none, sticksAt: luck < 0.5 ? 0.75 : Infinity };
    case "no-lid":
      return { ...none, offAt: luck < 0.35 ? 0.5 + luck : null };
    case "dirty-vessel":
      return { ...none, offAt: luck < 0.65 ? 0.3 + luck : null };
  }
}

/**
 * A drum hour by hour from its fill, with what was done to it at its hour. The same drum and deeds give the same course on every device.
 * Growth by the yard's own laws (Ratkowsky et al. 1983; pH by Luedeking and Piret 1959); pressure, airless hours and faults are this
 * trainer's own rules, of a size that practice tells.
 * @param untilH whole hours
 */
export function courseOf(drum: PracticeDrum, deeds: readonly Deed[], untilH: number): Course {
  const { traits, weather, placeTraits, name } = drum;
  const effect = effectOf(drum);
  const events: { hour: number; event: CourseEvent }[] = [];
  const moments: Moment[] = [];
  const chance = chanceFrom(drum.seed * 31 + 7);
  const feedLuck = chance.uniform();
  let [place, liquidC, dailyC] = [drum.place, placeTraits.startC, weather.meanC];
  let soFar = 0;
  let sticksAt = Math.min(traits.sticksAt, effect.sticksAt);
  let offFromH = Infinity;
  let [pressureBar, isTight] = [0, drum.fault === "tight-lid"];
  let [isAirOn, airlessH] = [true, 0];
  let warmth = 0;
  let hasNoBloom = false;
  let isBurst = false;
  const badAt = [drum.badAt, effect.offAt].filter((at) => at !== null);
  const tell = (hour: number, event: CourseEvent) => events.push({ hour, event });
  const told = (event: CourseEvent) => events.some((one) => one.event === event);

  const care = (hour: number, done: Care) => {
    switch (done) {
      case "vent":
        // Whoever opens it leaves the lid loose.
        [pressureBar, isTight] = [0, false];
        return;
      case "warm":
        place = "heated";
        return;
      case "air-on":
        [isAirOn, airlessH] = [true, 0];
        return;
      case "feed":
        if (soFar / traits.needs >= sticksAt - 1e-6) {
          sticksAt = Infinity;
          tell(hour, "unstuck");
          // Fresh sugar has to be eaten first.
          soFar -= 0.05 * traits.needs;
        } else if (name === "tea" || name === "leaf-mould brew") {
          if (feedLuck < 0.6) offFromH = Math.min(offFromH, hour + 8);
        } else soFar = Math.max(0, soFar - 0.15 * traits.needs);
        return;
      case "stir":
        return;
    }
  };

  for (let hour = 0; hour <= untilH; hour += 1) {
    const share = soFar / traits.needs;
    const isStuck = share >= sticksAt - 1e-6 && sticksAt < 1;
    const way = hasNoBloom ? Math.min(0.5, share) : Math.min(sticksAt, share);
    const isOff = hour >= offFromH;
    if (isStuck && !told("stuck")) tell(hour, "stuck");
    if (way >= 1 && !told("opened")) tell(hour, "opened");
    const closing = way <= 1 ? 0 : (soFar - traits.needs) / traits.openFor;
    if (closing > 1 && !told("closed")) tell(hour, "closed");
    if (isOff && !told("off")) tell(hour, "off");
    const ph = traits.phAt?.(way, isOff) ?? null;
    moments.push({ hour, way, closing, isOff, ph, liquidC, pressureBar, isAirOn, isStuck });
    if (hour === untilH || isBurst) break;
    for (const deed of deeds) if (deed.hour === hour && deed.kind === "care") care(hour, deed.care);

    const at = Math.min(hour, weather.airC.length - 1);
    dailyC += (weather.airC[at]! - dailyC) / 24;
    liquidC = anHourOn(placeTraits.tauH, liquidC, aroundC(placeTraits, weather, place, at, dailyC), place === "heated");
    const speed = traits.rate(liquidC) * effect.rate(hour);
    soFar = Math.min(Math.max(soFar, sticksAt * traits.needs), soFar + speed);
    if (hour === drum.powerCutH) {
      isAirOn = false;
      tell(hour, "power-gone");
    }
    if (!isAirOn) {
      airlessH += 2 ** ((liquidC - 20) / 10);
      if (airlessH > AIRLESS_H) offFromH = Math.min(offFromH, hour + 1);
    }
    if (name === "leaf-mould brew" && hour >= 24 && hour < 96) {
      warmth += liquidC / 72;
      if (hour === 95 && warmth < NO_BLOOM_BELOW_C && share < 1) {
        hasNoBloom = true;
        tell(hour, "no-bloom");
      }
    }
    for (const share_ of badAt)
      if (hour >= offFromOf(name, share_, Infinity) || soFar / traits.needs >= share_)
        offFromH = Math.min(offFromH, hour + 1);
    if (isTight) {
      // Most of the gas comes while the sugar goes.
      pressureBar += (GAS_BAR[name] ?? 0) * speed * Math.max(0.1, 4 * way * (1 - Math.min(1, way)));
      if (pressureBar >= BURSTS_AT_BAR) {
        tell(hour + 1, "burst");
        isBurst = true;
      }
    }
  }
  return { moments, events };
}

/** The drum at its last hour. */
export const lastMoment = ({ moments }: Course): Moment => moments.at(-1)!;
