/** Batch `from` went into batch `into`. */
export interface Feeding {
  readonly from: number;
  readonly into: number;
}

/** The batches that a batch was made from, nearest first; itself is not among them unless it feeds itself round a ring. */
export function ancestorsOf(batch: number, feedings: readonly Feeding[]): number[] {
  const found: number[] = [];
  let frontier = [batch];
  while (frontier.length > 0) {
    const next = feedings.filter(({ into }) => frontier.includes(into)).map(({ from }) => from);
    frontier = [...new Set(next)].filter((id) => !found.includes(id));
    found.push(...frontier);
  }
  return found;
}

/** Whether one more feeding would close a ring: a batch can't be made from itself. */
export const closesRing = ({ from, into }: Feeding, feedings: readonly Feeding[]): boolean =>
  from === into || ancestorsOf(from, feedings).includes(into);
