import type { Model } from "../model";
import type { Season } from "../season";
import { occupy, takeLine } from "./resources";
import type { Source } from "./source";
import { SUM, State } from "./state";
import { wasteOf } from "./uses";
import { changeCost } from "./batches";

/** A season as it stands before anything is planned: stores and what runs already. */
export function emptyState(model: Model): State {
  const state = new State(model);
  const { season, nowDay, days, indexOf } = model;
  for (const store of season.stores)
    state.addSource({
      index: state.sources.length,
      id: store.id,
      input: indexOf.inputs.get(store.input)!,
      vessel: -1,
      startDay: store.fromDay,
      readyDay: Math.max(store.fromDay, nowDay),
      lastDay: store.expiresDay,
      isFixed: true,
      isPinned: false,
      emptyDay: store.fromDay,
      fillL: store.onHandL,
      outputL: store.onHandL,
      givenL: 0,
      uses: [],
      laterL: new Float64Array(days),
      takes: [],
      feeds: [],
    });
  for (const batch of season.running) addRunning(state, batch);
  for (const source of state.sources) if (source) state.add(SUM.waste, wasteOf(state, source));
  for (const { running, startDay } of season.previous?.batches ?? [])
    if (!running && startDay >= nowDay && startDay < days) state.add(SUM.change, changeCost(state, startDay));
  state.journal.keep();
  return state;
}

function addRunning(state: State, batch: Season["running"][number]): void {
  const { indexOf, inputs, season, nowDay, days } = state.model;
  const input = indexOf.inputs.get(batch.input)!;
  const vessel = indexOf.vessels.get(batch.vessel)!;
  const { holdD, lifeD, living, aerated, yieldLPerL, fillMin, dayMin, closeMin } = inputs[input]!;
  const { cleanD, air } = season.vessels[vessel]!;
  const readyDay = Math.max(batch.readyDay, nowDay);
  const held = batch.emptyDay !== undefined && batch.emptyDay >= readyDay && batch.emptyDay <= readyDay + holdD;
  const emptyDay = held ? batch.emptyDay! : readyDay;
  const outputL = readyDay < days ? Math.max(0, batch.fillL * yieldLPerL - (batch.drawnL ?? 0)) : 0;
  const source: Source = {
    index: state.sources.length,
    id: batch.id,
    input,
    vessel,
    startDay: batch.startDay,
    readyDay,
    lastDay: batch.readyDay + lifeD,
    isFixed: true,
    isPinned: true,
    emptyDay,
    fillL: batch.fillL,
    outputL,
    givenL: 0,
    uses: [],
    laterL: living ? null : new Float64Array(days),
    takes: [],
    feeds: [],
  };
  state.addSource(source);
  occupy(state, vessel, batch.startDay, emptyDay + cleanD - 1, 1);
  if (aerated && air === "line") takeLine(state, batch.startDay, emptyDay, 1);
  const works = (day: number, minutes: number): void => {
    // What runs has to be tended even in a week that has no minutes for it.
    if (!state.isWithin(day)) return;
    state.weekMin[Math.floor(day / 7)]! += minutes;
    state.sums[SUM.labourMin]! += minutes;
  };
  works(batch.startDay, fillMin);
  for (let day = Math.max(batch.startDay, nowDay); day < Math.min(batch.readyDay, days); day += 1) works(day, dayMin);
  works(emptyDay, closeMin);
}
