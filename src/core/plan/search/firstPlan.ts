import { prune } from "./commit";
import { cover, setDoses, type Covering } from "./cover";
import type { Parameters } from "./parameters";
import { topUpAll } from "./serve";

const GREEDY: Parameters = {
  noise: 0,
  bonusD: 1,
  jitterD: 0,
  alpha: 1,
  scarcity: 0.003,
  standing: 0.05,
  starts: 3,
  tries: 3,
  weakest: -1,
};

/**
 * A plan at once, input by input, what keeps before what does not; pauses after each input, so that whoever drives it may breathe. Loose on purpose: from plans that were
 * packed better to begin with (more starts looked at, living inputs first, three weeks at a time) the search ended worse.
 */
export function* buildFirst(from: Omit<Covering, "parameters">, possible: Uint8Array): Generator<void> {
  const { model } = from.state;
  const { needs, needsOf, inputs } = model;
  const look: Covering = { ...from, parameters: GREEDY };
  setDoses(look);
  const weight = needsOf.map((of) => of.reduce((sum, need) => sum + (possible[need] ? needs.weight[need]! : 0), 0));
  const order = [...inputs.keys()].sort(
    (one, other) =>
      Number(inputs[one]!.living) - Number(inputs[other]!.living) || weight[other]! - weight[one]! || one - other,
  );
  for (const input of order) {
    cover(
      look,
      input,
      needsOf[input]!.filter((need) => possible[need]),
    );
    yield;
  }
  prune(from.state);
  topUpAll(from.state);
  from.failures.fill(0);
}
