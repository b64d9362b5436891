import { traitsOf } from "../models/classes";
import { USUAL_START_HOUR, type FermentBatch, type VesselEvent } from "../batch";
import { valueAt } from "./grid";
import { heatingKPerH, stepLiquid, warmingTimeH } from "./vessel";

export type Mark = { readonly hour: number } & (
  | { readonly type: "reading"; readonly celsius: number }
  | Exclude<VesselEvent, { type: "air_on" | "air_off" | "opened" | "insects" }>
);

export function marksOf(batch: FermentBatch, nowH: number): Mark[] {
  const { isLiquid } = traitsOf(batch.model);
  const readings = (batch.readings ?? [])
    .filter(
      ({ where, hour, celsius }) => where === "liquid" && isLiquid && hour <= nowH && celsius > -30 && celsius < 60,
    )
    .map(({ hour, celsius }): Mark => ({ hour, type: "reading", celsius }));
  const events = (batch.events ?? []).filter(
    (event): event is Extract<Mark, VesselEvent> =>
      event.type !== "air_on" && event.type !== "air_off" && event.type !== "opened" && event.type !== "insects",
  );
  return [...readings, ...events].toSorted((a, b) => a.hour - b.hour);
}

/** What is known of a place that the vessel was moved to, K. */
export const PLACE_SD_C = 1.5;

/** A vessel of liquid in its surroundings, which warms, cools and takes what befalls it. */
export class Liquid {
  celsius: number;
  readonly tauH: number;
  place: Extract<VesselEvent, { type: "moved" }> | null = null;
  heater: Extract<VesselEvent, { type: "heater_on" }> | null = null;
  private wrapped = false;
  private readonly volumeL: number;
  private readonly wrappedTauH: number;
  private readonly startHour: number;

  constructor(
    batch: FermentBatch,
    private readonly hours: Float64Array,
    /** The air outside at each hour. */
    private readonly outside: Float64Array,
  ) {
    this.volumeL = batch.volumeL ?? batch.model.volumeL;
    this.tauH = warmingTimeH(this.volumeL, batch.setting ?? batch.model.setting);
    this.wrappedTauH = warmingTimeH(this.volumeL, "insulated");
    this.startHour = batch.startHour ?? USUAL_START_HOUR;
    this.celsius = batch.startC ?? outside[0]!;
  }

  /** The air around it at an hour. */
  around(hour: number): number {
    const { place } = this;
    return place
      ? place.meanC + (place.swingC ?? 1) * Math.cos((2 * Math.PI * (this.startHour + hour - 15)) / 24)
      : valueAt(this.hours, this.outside, hour);
  }

  step(fromH: number, toH: number, airFromC: number, airToC: number): void {
    const h = toH - fromH;
    if (h <= 0) return;
    const tau = this.wrapped ? Math.max(this.tauH, this.wrappedTauH) : this.tauH;
    this.celsius = stepLiquid(this.celsius, airFromC, airToC, h, tau);
    const { heater } = this;
    if (heater && this.celsius < heater.setC)
      this.celsius = Math.min(heater.setC, this.celsius + heatingKPerH(heater.watts, this.volumeL) * h);
  }

  take(mark: Mark): void {
    switch (mark.type) {
      case "reading":
        this.celsius = mark.celsius;
        break;
      case "moved":
        this.place = mark;
        break;
      case "moved_back":
        this.place = null;
        break;
      case "heater_on":
        this.heater = mark;
        break;
      case "heater_off":
        this.heater = null;
        break;
      case "wrapped":
      case "unwrapped":
        this.wrapped = mark.type === "wrapped";
        break;
      case "topped_up":
        this.celsius = (this.celsius * mark.ofL + mark.celsius * mark.litres) / (mark.ofL + mark.litres);
        break;
    }
  }
}
