import { settleOrders } from "../state/ingredients";
import { SUM, type State } from "../state/state";

export interface Value {
  readonly unmet: number;
  readonly cost: number;
  readonly fuss: number;
  /** What the search steers by. */
  readonly j: number;
}
/** What a state is worth; see the order of the score in the season's contract. */
export function valueOf(state: State): Value {
  const { sums, model } = state;
  const { perUnmet, perStart, perLateDay } = model.season.weights;
  const unmet = sums[SUM.unmet]!;
  const cost =
    settleOrders(state) +
    sums[SUM.gathered]! +
    sums[SUM.labourMin]! * model.minuteCost +
    sums[SUM.waste]! +
    sums[SUM.weak]!;
  const fuss = sums[SUM.starts]! * perStart + sums[SUM.lateD]! * perLateDay + sums[SUM.change]!;
  return { unmet, cost, fuss, j: perUnmet * unmet + cost + fuss };
}
