import type { Source } from "./source";
import type { State } from "./state";

type Cells = Float64Array | Int16Array | Uint8Array;
const copyOf = (source: Source): Source => ({
  ...source,
  uses: [...source.uses],
  laterL: source.laterL && source.laterL.slice(),
});

/** A state as it was at one moment. */
export interface Snapshot {
  readonly cells: readonly Cells[];
  readonly sources: readonly (Source | null)[];
  readonly sourcesOf: readonly (readonly number[])[];
  readonly needSources: readonly (readonly number[])[];
}
const cellsOf = (state: State): Cells[] => [
  state.taken,
  state.lines,
  state.cans,
  state.weekMin,
  ...state.lotLeft,
  ...state.gathered,
  ...state.bought,
  state.buyCost,
  state.isBuyStale,
  state.sums,
  state.needDay,
  state.needL,
];
export const snapshot = (state: State): Snapshot => ({
  cells: cellsOf(state).map((cells) => cells.slice()),
  sources: state.sources.map((source) => source && copyOf(source)),
  sourcesOf: state.sourcesOf.map((list) => [...list]),
  needSources: [...state.needSources],
});
/** Sets a state to what it was; what the journal had is forgotten. */
export function restore(state: State, from: Snapshot): void {
  for (const [index, cells] of cellsOf(state).entries()) cells.set(from.cells[index]! as never);
  state.sources = from.sources.map((source) => source && copyOf(source));
  for (const [input, list] of from.sourcesOf.entries()) state.sourcesOf[input] = [...list];
  for (const [need, list] of from.needSources.entries()) state.needSources[need] = list;
  state.journal.keep();
}
