import { chanceFrom } from "@/core/chance";
import { modelOf } from "../model";
import type { Season, SeasonPlan } from "../season";
import { emptyState } from "../state/begin";
import type { State } from "../state/state";
import { candidates } from "../search/candidates";
import { commit } from "../search/commit";
import { loadPlan } from "../search/load";
import { Picker } from "../search/pick";
import { PATIENT } from "../search/parameters";
import { serveFromThere } from "../search/serve";

export type Standing = Pick<SeasonPlan, "batches" | "applications">;

/** A season, empty or with a plan in it, in which single needs are tried. Nothing that is tried stays. */
export class Trial {
  readonly state: State;
  private readonly picker: Picker;
  private readonly doses: Float64Array;
  constructor(season: Season, plan: Standing | null) {
    this.state = emptyState(modelOf(season));
    if (plan) loadPlan(this.state, { ...plan, mayMove: false });
    this.state.journal.keep();
    this.picker = new Picker(this.state);
    this.doses = new Float64Array(this.state.model.needs.count);
  }
  /** Whether a need could be met beside what stands, out of that or by one more batch, weakly if need be. @param laterD days that its window may end later */
  fits(needId: string, laterD = 0): boolean {
    const { state } = this;
    const need = state.model.indexOf.needs.get(needId)!;
    const { needs } = state.model;
    if (state.needDay[need]! >= 0) return true;
    if (needs.earliest[need]! > needs.latest[need]!) return false;
    const mark = state.journal.mark();
    if (laterD > 0) state.journal.set(needs.latest, need, Math.min(state.model.days - 1, needs.latest[need]! + laterD));
    const fits = [needs.preferredL[need]!, needs.leastL[need]!].some((dose) => this.fitsAt(need, dose));
    state.journal.rollback(mark);
    return fits;
  }
  private fitsAt(need: number, dose: number): boolean {
    const { state, picker, doses } = this;
    const { needs } = state.model;
    doses[need] = dose;
    if (serveFromThere(state, need, dose, needs.leastL[need]!)) return true;
    const look = { state, picker, doses, chance: chanceFrom(1), parameters: PATIENT };
    return candidates(look, needs.input[need]!, need, [])
      .slice(0, PATIENT.tries)
      .some((candidate) => commit(state, candidate, doses));
  }
}
