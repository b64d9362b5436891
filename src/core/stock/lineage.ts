/** Batch `from` went into batch `into`. */
export interface Feeding {
  readonly from: number;
  readonly into: number;
}

/** All that is reached from some batches by steps of one kind, nearest first. */
function reached(from: readonly number[], step: (frontier: readonly number[]) => readonly number[]): number[] {
  const found: number[] = [];
  let frontier = from;
  while (frontier.length > 0) {
    frontier = [...new Set(step(frontier))].filter((id) => !found.includes(id));
    found.push(...frontier);
  }
  return found;
}

/** The batches that a batch was made from, nearest first; itself is not among them unless it feeds itself round a ring. */
export const ancestorsOf = (batch: number, feedings: readonly Feeding[]): number[] =>
  reached([batch], (frontier) => feedings.filter(({ into }) => frontier.includes(into)).map(({ from }) => from));

/** The batches that some batches went into, through every one between, nearest first. */
export const descendantsOf = (batches: readonly number[], feedings: readonly Feeding[]): number[] =>
  reached(batches, (frontier) => feedings.filter(({ from }) => frontier.includes(from)).map(({ into }) => into));

/** Whether one more feeding would close a ring: a batch can't be made from itself. */
export const closesRing = ({ from, into }: Feeding, feedings: readonly Feeding[]): boolean =>
  from === into || ancestorsOf(from, feedings).includes(into);
