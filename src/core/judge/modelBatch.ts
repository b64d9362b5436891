import type { FermentBatch, TemperatureReading, VesselEvent } from "../ferment/batch";
import type { Observation } from "../ferment/evidence/observations";
import type { FermentModel } from "../ferment/models/types";
import type { Place } from "../ferment/temperature/places";
import type { BatchInput } from "./batchInput";
import { actsOf, countsAsPh, type ActItem } from "./log";
import { seenBy } from "./wordClasses";

/** A place indoors, and a thermostat, where nobody says how warm. */
const INDOORS_C = 20;
/** Water from a butt stands at the air's mean; where that is not known, at this. */
const WATER_C = 15;
/** A heater of common size, W to the litre; with it a drum warms about 2 K an hour. */
const HEATER_W_PER_L = 2.5;
const INDOORS_SWING_C = 1.5;
const UNSAID: Place = { kind: "unsaid" };

function eventsOf(act: ActItem, input: BatchInput, model: FermentModel): VesselEvent[] {
  const { hour, amount } = act;
  const filledL = input.filledL ?? input.vesselL;
  const before = actsOf(input.log).filter((item) => item.act === "topped-up" && item.hour < hour);
  const ofL = before.reduce((sum, item) => sum + (item.amount ?? 0), filledL);
  const isAerated = model.cls === "bloom" && model.air !== null;
  switch (act.act) {
    case "air-on":
    case "air-off":
      return [{ hour, type: act.act === "air-on" ? "air_on" : "air_off" }];
    case "power-cut":
      return [...(isAerated ? [{ hour, type: "air_off" } as const] : []), { hour, type: "heater_off" }];
    case "power-back":
      return isAerated ? [{ hour, type: "air_on" }] : [];
    case "moved":
      return [{ hour, type: "moved", meanC: amount ?? INDOORS_C, swingC: INDOORS_SWING_C }];
    case "moved-back":
      return [{ hour, type: "moved_back" }];
    case "heater-on":
      return [{ hour, type: "heater_on", setC: amount ?? INDOORS_C, watts: HEATER_W_PER_L * filledL }];
    case "heater-off":
      return [{ hour, type: "heater_off" }];
    case "wrapped":
    case "unwrapped":
      return [{ hour, type: act.act }];
    case "opened":
    case "lid-off":
      return [{ hour, type: "opened" }];
    case "flies-in":
      return [{ hour, type: "insects" }];
    case "topped-up":
      return amount === undefined
        ? []
        : [{ hour, type: "topped_up", litres: amount, ofL, celsius: input.temperature.usual?.meanC ?? WATER_C }];
    case "stirred":
    case "vented":
    case "pressed-under":
    case "sealed":
    case "fed":
    case "lid-checked":
    case "bag-out":
    case "joined":
    case "kept-on-air":
      return [];
  }
}

/** After the power is back a heater warms again, if it was on before. */
function heaterAfterCuts(acts: readonly ActItem[], input: BatchInput): VesselEvent[] {
  return acts
    .filter(({ act }) => act === "power-back")
    .flatMap(({ hour }) => {
      const before = acts.findLast(
        (item) => item.hour < hour && (item.act === "heater-on" || item.act === "heater-off"),
      );
      if (before?.act !== "heater-on") return [];
      const watts = HEATER_W_PER_L * (input.filledL ?? input.vesselL);
      return [{ hour, type: "heater_on", setC: before.amount ?? INDOORS_C, watts } as const];
    });
}

/** What a log says in the model's terms; pH that does not stand for the batch is left out. */
export const observationsOf = (input: BatchInput, model: FermentModel): Observation[] =>
  input.log
    .filter((item) => item.kind !== "ph" || countsAsPh(item))
    // A film that the method's own words take for harmless is no mould.
    .filter(
      (item) =>
        item.kind !== "film" ||
        !input.recipe.cues.some(({ kind, word, says }) => kind === "film" && word === item.word && says === "not-yet"),
    )
    .flatMap((item) => seenBy(item, model, input.recipe.cues) ?? []);

/** The farm's batch as the model sees it. */
export function modelBatch(input: BatchInput, model: FermentModel): FermentBatch {
  const { temperature } = input;
  const acts = actsOf(input.log);
  const readings: TemperatureReading[] = [
    ...temperature.air.filter(({ hour }) => hour <= input.nowH),
    ...temperature.liquid.map((point) => ({ ...point, where: "liquid" as const })),
  ];
  const firstLiquid = temperature.liquid.toSorted((a, b) => a.hour - b.hour)[0];
  const startC = temperature.statedC ?? (firstLiquid && firstLiquid.hour < 1 ? firstLiquid.celsius : undefined);
  // Where no air is known, what the liquid stood at is the best guess of the place.
  const read = temperature.liquid;
  const meanReadC = read.length > 0 ? read.reduce((sum, { celsius }) => sum + celsius, 0) / read.length : undefined;
  const ambientC = temperature.usual?.meanC ?? meanReadC ?? temperature.statedC ?? undefined;
  return {
    model,
    volumeL: input.filledL ?? input.vesselL,
    // Without any air outside the liquid's own readings are all that is known of the place.
    ...(temperature.air.length > 0 || temperature.usual ? { place: input.place ?? UNSAID } : {}),
    ...(input.placeLearned ? { placeLearned: input.placeLearned } : {}),
    ...(input.setting ? { setting: input.setting } : {}),
    ...(input.startHour === undefined ? {} : { startHour: input.startHour }),
    ...(ambientC === undefined ? {} : { ambientC }),
    ...(temperature.usual ? { swingC: temperature.usual.swingC } : ambientC === undefined ? {} : { swingC: 0 }),
    ...(temperature.usual?.season ? { season: temperature.usual.season } : {}),
    ...(startC === undefined ? {} : { startC }),
    ...(input.sugar === undefined ? {} : { sugar: input.sugar }),
    ...(input.inoculum === undefined ? {} : { inoculum: input.inoculum }),
    ...(input.lPerKg === undefined ? {} : { lPerKg: input.lPerKg }),
    ...(input.farm ? { prior: input.farm } : {}),
    readings,
    forecast: temperature.air.filter(({ hour }) => hour >= input.nowH),
    events: [...acts.flatMap((act) => eventsOf(act, input, model)), ...heaterAfterCuts(acts, input)].toSorted(
      (a, b) => a.hour - b.hour,
    ),
    observations: observationsOf(input, model),
  };
}
