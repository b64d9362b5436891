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

/** A drum on its way, hour by hour. */
class Running {
  readonly events: { hour: number; event: CourseEvent }[] = [];
  private readonly effect: FaultEffect;
  private readonly badAt: readonly number[];
  private readonly feedLuck: number;
  private place: PracticeDrum["place"];
  private liquidC: number;
  private dailyC: number;
  private soFar = 0;
  private sticksAt: number;
  private offFromH = Infinity;
  private pressureBar = 0;
  private isTight: boolean;
  private isAirOn = true;
  private airlessH = 0;
  private warmth = 0;
  private hasNoBloom = false;
  isBurst = false;

  constructor(private readonly drum: PracticeDrum) {
    this.effect = effectOf(drum);
    this.badAt = [drum.badAt, this.effect.offAt].filter((at) => at !== null);
    this.feedLuck = chanceFrom(drum.seed * 31 + 7).uniform();
    this.place = drum.place;
    this.liquidC = drum.placeTraits.startC;
    this.dailyC = drum.weather.meanC;
    this.sticksAt = Math.min(drum.traits.sticksAt, this.effect.sticksAt);
    this.isTight = drum.fault === "tight-lid";
  }
  private tell(hour: number, event: CourseEvent): void {
    this.events.push({ hour, event });
  }
  private tellOnce(hour: number, event: CourseEvent, isSo: boolean): void {
    if (isSo && !this.events.some((one) => one.event === event)) this.tell(hour, event);
  }
  /** What it is at an hour, before anything is done in it. */
  moment(hour: number): Moment {
    const { traits } = this.drum;
    const share = this.soFar / traits.needs;
    const isStuck = share >= this.sticksAt - 1e-6 && this.sticksAt < 1;
    const way = this.hasNoBloom ? Math.min(0.5, share) : Math.min(this.sticksAt, share);
    const isOff = hour >= this.offFromH;
    const closing = way <= 1 ? 0 : (this.soFar - traits.needs) / traits.openFor;
    this.tellOnce(hour, "stuck", isStuck);
    this.tellOnce(hour, "opened", way >= 1);
    this.tellOnce(hour, "closed", closing > 1);
    this.tellOnce(hour, "off", isOff);
    const ph = traits.phAt?.(way, isOff) ?? null;
    const { liquidC, pressureBar, isAirOn } = this;
    return { hour, way, closing, isOff, ph, liquidC, pressureBar, isAirOn, isStuck };
  }
  care(hour: number, done: Care): void {
    switch (done) {
      case "vent":
        // Whoever opens it leaves the lid loose.
        [this.pressureBar, this.isTight] = [0, false];
        return;
      case "warm":
        this.place = "heated";
        return;
      case "air-on":
        [this.isAirOn, this.airlessH] = [true, 0];
        return;
      case "feed":
        this.feed(hour);
        return;
      case "stir":
        return;
    }
  }
  private feed(hour: number): void {
    const { name, traits } = this.drum;
    if (this.soFar / traits.needs >= this.sticksAt - 1e-6) {
      this.sticksAt = Infinity;
      this.tell(hour, "unstuck");
      // Fresh sugar has to be eaten first.
      this.soFar -= 0.05 * traits.needs;
    } else if (name === "tea" || name === "leaf-mould brew") {
      if (this.feedLuck < 0.6) this.offFromH = Math.min(this.offFromH, hour + 8);
    } else this.soFar = Math.max(0, this.soFar - 0.15 * traits.needs);
  }
  /** Lets the hour pass. */
  pass(hour: number): void {
    const { traits, weather, placeTraits, name } = this.drum;
    const at = Math.min(hour, weather.airC.length - 1);
    this.dailyC += (weather.airC[at]! - this.dailyC) / 24;
    const around = aroundC(placeTraits, weather, this.place, at, this.dailyC);
    this.liquidC = anHourOn(placeTraits.tauH, this.liquidC, around, this.place === "heated");
    const share = this.soFar / traits.needs;
    const speed = traits.rate(this.liquidC) * this.effect.rate(hour);
    this.soFar = Math.min(Math.max(this.soFar, this.sticksAt * traits.needs), this.soFar + speed);
    if (name === "leaf-mould brew") this.bloom(hour, share);
    this.breathe(hour);
    for (const one of this.badAt)
      if (hour >= offFromOf(name, one, Infinity) || this.soFar / traits.needs >= one)
        this.offFromH = Math.min(this.offFromH, hour + 1);
    if (this.isTight) this.press(hour, speed, Math.min(1, share));
  }
  private bloom(hour: number, share: number): void {
    if (hour < 24 || hour >= 96) return;
    this.warmth += this.liquidC / 72;
    if (hour !== 95 || this.warmth >= NO_BLOOM_BELOW_C || share >= 1) return;
    this.hasNoBloom = true;
    this.tell(hour, "no-bloom");
  }
  private breathe(hour: number): void {
    if (hour === this.drum.powerCutH) {
      this.isAirOn = false;
      this.tell(hour, "power-gone");
    }
    if (this.isAirOn) return;
    this.airlessH += 2 ** ((this.liquidC - 20) / 10);
    if (this.airlessH > AIRLESS_H) this.offFromH = Math.min(this.offFromH, hour + 1);
  }
  private press(hour: number, speed: number, way: number): void {
    // Most of the gas comes while the sugar goes.
    this.pressureBar += (GAS_BAR[this.drum.name] ?? 0) * speed * Math.max(0.1, 4 * way * (1 - way));
    if (this.pressureBar < BURSTS_AT_BAR) return;
    this.tell(hour + 1, "burst");
    this.isBurst = true;
  }
}

/**
 * A drum hour by hour from its fill, with what was done to it at its hour. The same drum and deeds give the same course on every device.
 * Growth by the yard's own laws (Ratkowsky et al. 1983; pH by Luedeking and Piret 1959); pressure, airless hours and faults are this
 * trainer's own rules, of a size that practice tells.
 * @param untilH whole hours, as far as the drum is watched
 */
export function courseOf(drum: PracticeDrum, deeds: readonly Deed[], untilH: number): Course {
  const whole = wholeCourse(drum, deeds);
  return {
    moments: whole.moments.slice(0, untilH + 1),
    events: whole.events.filter(({ hour }) => hour <= untilH),
  };
}

// Looks change nothing: what was worked out for the same care stands.
const known = new WeakMap<PracticeDrum, { readonly cares: string; readonly course: Course }>();

function wholeCourse(drum: PracticeDrum, deeds: readonly Deed[]): Course {
  const done = deeds.filter((deed) => deed.kind === "care");
  const cares = done.map(({ hour, care }) => `${hour} ${care}`).join();
  const before = known.get(drum);
  if (before?.cares === cares) return before.course;
  const running = new Running(drum);
  const moments: Moment[] = [];
  for (let hour = 0; hour <= drum.untilH; hour += 1) {
    moments.push(running.moment(hour));
    if (hour === drum.untilH || running.isBurst) break;
    for (const deed of done) if (deed.hour === hour) running.care(hour, deed.care);
    running.pass(hour);
  }
  const course = { moments, events: running.events };
  known.set(drum, { cares, course });
  return course;
}

/** The drum at its last hour. */
export const lastMoment = ({ moments }: Course): Moment => moments.at(-1)!;
