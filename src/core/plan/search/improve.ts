import { drawParameters } from "./parameters";
import { cover, setDoses, type Covering } from "./cover";
import { breakSome, type Breaking, type Broken } from "./destroy";
import { prune } from "./commit";
import { topUpAll } from "./serve";
import { valueOf, type Value } from "./score";

export interface Improving extends Breaking {
  readonly look: Omit<Covering, "parameters">;
}
function shuffledInputs(from: Breaking, inputs: readonly number[], first: number): number[] {
  const all = [...inputs];
  for (let at = all.length - 1; at > 0; at -= 1) {
    const other = Math.floor(from.chance.uniform() * (at + 1));
    [all[at], all[other]] = [all[other]!, all[at]!];
  }
  if (first >= 0 && from.chance.uniform() < 0.8) return [first, ...all.filter((input) => input !== first)];
  return all;
}
/** Meets again what was freed, and what was open near by, inputs in chance order. */
function repair(from: Improving, { freed, focus, anew }: Broken): void {
  const { state, chance, possible, failures } = from;
  const { needs, inputs } = state.model;
  const open = new Map<number, number[]>();
  const put = (need: number): void => {
    const input = needs.input[need]!;
    const list = open.get(input);
    if (list) list.push(need);
    else open.set(input, [need]);
  };
  const seen = new Set(freed);
  let [first, last] = [Infinity, -Infinity];
  for (const need of seen) {
    first = Math.min(first, needs.earliest[need]!);
    last = Math.max(last, needs.latest[need]!);
  }
  if (focus >= 0) {
    seen.add(focus);
    first = Math.min(first, needs.earliest[focus]!);
    last = Math.max(last, needs.latest[focus]!);
  }
  for (let need = 0; need < needs.count; need += 1)
    if (
      possible[need] &&
      state.needDay[need]! < 0 &&
      !seen.has(need) &&
      failures[need]! < 30 &&
      needs.earliest[need]! <= last &&
      needs.latest[need]! >= first &&
      chance.uniform() < 0.6 / (1 + failures[need]! / 6)
    )
      seen.add(need);
  for (const need of seen) if (state.needDay[need]! < 0) put(need);
  const weakest = chance.uniform() < (focus >= 0 ? 0.3 : 0.05) ? Math.floor(chance.uniform() * inputs.length) : -1;
  const look: Covering = { ...from.look, parameters: drawParameters(chance, weakest) };
  setDoses(look);
  const focusInput = focus >= 0 ? needs.input[focus]! : -1;
  for (const input of shuffledInputs(
    from,
    [...open.keys()].sort((a, b) => a - b),
    focusInput,
  ))
    cover(look, input, open.get(input)!, { focus: input === focusInput ? focus : -1, isAnew: input === anew });
}

/** One round: some of the plan is taken out and put back otherwise. @returns what it is worth now; the journal has all of it */
export function tryOnce(from: Improving): Value {
  repair(from, breakSome(from));
  prune(from.state);
  topUpAll(from.state);
  return valueOf(from.state);
}
