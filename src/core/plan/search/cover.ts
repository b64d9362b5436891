import { commit } from "./commit";
import { candidates, type Looking } from "./candidates";
import { serveFromThere } from "./serve";

export interface Covering extends Looking {
  /** Of each need how often it could not be met since the last better plan. */
  readonly failures: Uint16Array;
}

/** Order in which needs are served: by due day, heavier ones before it, shaken. */
function inOrder({ state, chance, parameters }: Looking, open: readonly number[], focus: number): number[] {
  const { latest, weight } = state.model.needs;
  const { bonusD, jitterD } = parameters;
  const due = new Map(
    open.map((need) => [
      need,
      need === focus
        ? -1e9
        : latest[need]! - bonusD * Math.log2(weight[need]! + 1) + (jitterD > 0 ? jitterD * chance.uniform() : 0),
    ]),
  );
  return [...open].sort((one, other) => due.get(one)! - due.get(other)! || one - other);
}

/** Doses that are asked for: the preferred, or of the weakest input the least. */
export function setDoses(look: Looking): void {
  const { needs } = look.state.model;
  for (let need = 0; need < needs.count; need += 1)
    look.doses[need] = needs.input[need] === look.parameters.weakest ? needs.leastL[need]! : needs.preferredL[need]!;
}

/**
 * Meets open needs of one input: out of what there is, then by new batches, each chosen for one need and serving as many more as fit.
 * @param how `focus` is the need that comes first, -1 for none; `isAnew`: a new batch is looked for before what there is
 */
export function cover(
  look: Covering,
  input: number,
  open: readonly number[],
  how: { readonly focus: number; readonly isAnew: boolean } = { focus: -1, isAnew: false },
): void {
  const { state, doses, failures, parameters } = look;
  const { needs } = state.model;
  const isOpen = (need: number): boolean => state.needDay[need]! < 0;
  let left = inOrder(
    look,
    open.filter((need) => isOpen(need) && needs.earliest[need]! <= needs.latest[need]!),
    how.focus,
  );
  if (!how.isAnew) left = left.filter((need) => !serveFromThere(state, need, doses[need]!, doses[need]!));
  /** A window in which the last anchor had no place to start at all. */
  let shut: { earliest: number; latest: number } | null = null;
  while (left.length > 0) {
    const anchor = left[0]!;
    const isShut = shut !== null && needs.earliest[anchor]! >= shut.earliest && needs.latest[anchor]! <= shut.latest;
    const list = isShut ? [] : candidates(look, input, anchor, left);
    if (list.length === 0 && !isShut) shut = { earliest: needs.earliest[anchor]!, latest: needs.latest[anchor]! };
    const stands = list.slice(0, parameters.tries).some((candidate) => commit(state, candidate, doses));
    if (!stands && !serveFromThere(state, anchor, doses[anchor]!, needs.leastL[anchor]!)) {
      if (failures[anchor]! < 60_000) failures[anchor]! += 1;
    }
    left = left.filter((need) => need !== anchor && isOpen(need));
  }
}
