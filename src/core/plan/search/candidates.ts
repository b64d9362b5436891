import type { Chance } from "@/core/chance";
import { changeOf } from "../state/batches";
import { hasLine, isFree } from "../state/resources";
import type { State } from "../state/state";
import type { Parameters } from "./parameters";
import type { Pick, Picker } from "./pick";

export interface Candidate {
  readonly input: number;
  readonly vessel: number;
  readonly startDay: number;
  readonly readyDay: number;
  readonly picks: readonly Pick[];
  readonly litres: number;
  readonly price: number;
  readonly rank: number;
}
export interface Looking {
  readonly state: State;
  readonly chance: Chance;
  readonly picker: Picker;
  readonly parameters: Parameters;
  /** Litres that each need is to get. */
  readonly doses: Float64Array;
}

/** Start days that could serve a need by classes of one duration, the likeliest first. */
function startDays(look: Looking, input: number, anchor: number, durations: Int16Array): number[] {
  const { nowDay, days, inputs, needs } = look.state.model;
  const { living, lifeD } = inputs[input]!;
  const [earliest, latest] = [needs.earliest[anchor]!, needs.latest[anchor]!];
  const found: number[] = [];
  let step = 1;
  for (let start = Math.min(latest, days - 1); start >= nowDay; start -= step) {
    const takes = durations[start]!;
    if (takes < 0) continue;
    const ready = start + takes;
    if (ready > latest || ready >= days) continue;
    if (ready + lifeD < earliest) {
      // Earlier ones are over by then, but for a row of durations that jumps: a week more is looked at.
      if (ready + lifeD < earliest - 7) break;
      continue;
    }
    found.push(start);
    if (living) continue;
    if (found.length >= look.parameters.starts) break;
    if (found.length >= 9) step = 7;
    else if (found.length >= 5) step = 2 + Math.floor(4 * look.chance.uniform());
  }
  return found;
}

/** As many of the picks as a vessel takes, in their order; up to six that are too much are passed over. @param capL what it gives at most */
function fitting(look: Looking, picks: readonly Pick[], capL: number): { taken: Pick[]; litres: number } {
  const { needs } = look.state.model;
  const taken: Pick[] = [];
  let litres = 0;
  let passed = 0;
  for (const [place, pick] of picks.entries()) {
    const dose = look.doses[pick.need]!;
    if (litres + dose <= capL + 1e-9) {
      taken.push(pick);
      litres += dose;
    } else if (place === 0) {
      // The anchor alone may be weakened to fit.
      if (needs.leastL[pick.need]! > capL) return { taken: [], litres: 0 };
      return { taken: [pick], litres: capL };
    } else {
      passed += 1;
      if (passed > 6) break;
    }
  }
  return { taken, litres };
}

function priceOf(
  look: Looking,
  input: number,
  vessel: number,
  startDay: number,
  readyDay: number,
  taken: readonly Pick[],
  litres: number,
): number {
  const { state, parameters, doses } = look;
  const { inputs, season, minuteCost, needs, days } = state.model;
  const of = inputs[input]!;
  const { volumeL } = season.vessels[vessel]!;
  const { perStart, perLateDay } = season.weights;
  const fillL = Math.max(of.low * volumeL, litres / of.yieldLPerL);
  const isLost = of.living || readyDay + of.lifeD < days;
  let [lateD, standing, lastDay, weakL] = [0, 0, readyDay, 0];
  for (const { need, day } of taken) {
    lateD += Math.max(0, day - needs.preferred[need]!);
    standing += (day - readyDay) * doses[need]!;
    lastDay = Math.max(lastDay, day);
    weakL += needs.preferredL[need]! - doses[need]!;
  }
  const takenDays = (of.living ? lastDay : readyDay) - startDay + 1;
  return (
    fillL * of.costPerL +
    (of.fillMin + of.closeMin + of.dayMin * (readyDay - startDay)) * minuteCost +
    (isLost ? (fillL * of.yieldLPerL - litres) * of.wasteCostPerL : 0) +
    weakL * of.weakCostPerL +
    parameters.scarcity * volumeL * takenDays +
    (of.living ? 0 : (parameters.standing * standing) / season.cans.volumeL) +
    lateD * perLateDay +
    perStart +
    changeOf(state, { input, vessel, startDay })
  );
}

/** The vessel of a class that is free, the first that was in the plan before if any. */
function freeVessel(state: State, input: number, of: number, startDay: number, readyDay: number): number {
  const { vessels, cleanD } = state.model.classes[of]!;
  let found = -1;
  for (const vessel of vessels)
    if (isFree(state, vessel, startDay, readyDay, readyDay + cleanD - 1)) {
      if (!state.before) return vessel;
      if (state.before.has(`${input}|${vessel}|${startDay}`)) return vessel;
      if (found < 0) found = vessel;
    }
  return found;
}

/** Batches that would meet a need, and others with it, the best first. @param open the input's other open needs in the order that they are to be served in */
export function candidates(look: Looking, input: number, anchor: number, open: readonly number[]): Candidate[] {
  const { state, chance, parameters } = look;
  const { inputs, classes, season } = state.model;
  const of = inputs[input]!;
  const found: Candidate[] = [];
  const capOf = (vessel: number): number => of.high * season.vessels[vessel]!.volumeL * of.yieldLPerL;
  for (const { durations, classes: alike } of of.groups)
    for (const startDay of startDays(look, input, anchor, durations)) {
      const readyDay = startDay + durations[startDay]!;
      if (!state.hasMinutes(startDay, of.fillMin)) continue;
      const free: number[] = [];
      let mostL = 0;
      for (const one of alike) {
        if (of.aerated && classes[one]!.air === "line" && !hasLine(state, startDay, readyDay)) continue;
        const vessel = freeVessel(state, input, one, startDay, readyDay);
        if (vessel < 0) continue;
        free.push(vessel);
        mostL = Math.max(mostL, capOf(vessel));
      }
      if (free.length === 0) continue;
      const picks = look.picker.pick(anchor, open, readyDay, readyDay + of.lifeD, mostL, look.doses);
      if (picks.length === 0) continue;
      for (const vessel of free) {
        const { taken, litres } = fitting(look, picks, capOf(vessel));
        if (taken.length === 0) continue;
        const price = priceOf(look, input, vessel, startDay, readyDay, taken, litres);
        const rank = (price / litres ** parameters.alpha) * (1 + parameters.noise * chance.uniform());
        found.push({ input, vessel, startDay, readyDay, picks: taken, litres, price, rank });
      }
    }
  return found.sort((one, other) => one.rank - other.rank);
}
