import type { Block } from "./prepare";

/** Middle ranks of values, from 1; equal ones share theirs. */
function midranks(values: readonly number[]): number[] {
  return values.map((value) => {
    const below = values.filter((one) => one < value).length;
    const alike = values.filter((one) => one === value).length;
    return below + (alike + 1) / 2;
  });
}
const greatest = (a: number, b: number): number => (b === 0 ? a : greatest(b, a % b));

/** Scores as middle ranks within their block, weighted by 1/(units + 1) (van Elteren 1960): what placements are then compared by. */
export function rankedBlocks(blocks: readonly Block[]): Block[] {
  return blocks.map(({ treated, control, season }) => {
    const weighted = midranks([...treated, ...control]).map((rank) => rank / (treated.length + control.length + 1));
    return { treated: weighted.slice(0, treated.length), control: weighted.slice(treated.length), season };
  });
}

/** Share of comparisons within blocks that the arm won, equal ones half; in pairs, of those that differ. Null where none do. */
export function shareWon(blocks: readonly Block[], isPairs: boolean): { readonly won: number; readonly of: number } {
  let [won, of] = [0, 0];
  for (const { treated, control } of blocks)
    for (const one of treated)
      for (const other of control) {
        if (isPairs && one === other) continue;
        of += 1;
        won += one > other ? 1 : one === other ? 0.5 : 0;
      }
  return { won, of };
}

/** Chances of as much or more, and as much or less, over all placements: exact, by adding the blocks' distributions one after the other. */
export function ordinalTails(blocks: readonly Block[]): { readonly upper: number; readonly lower: number } {
  const common = blocks.reduce((found, { treated, control }) => {
    const size = treated.length + control.length + 1;
    return (found * size) / greatest(found, size);
  }, 1);
  let sums = new Map<number, number>([[0, 1]]);
  let seen = 0;
  for (const { treated, control } of blocks) {
    const scale = (2 * common) / (treated.length + control.length + 1);
    const keys = midranks([...treated, ...control]).map((rank) => Math.round(rank * scale));
    seen += keys.slice(0, treated.length).reduce((sum, key) => sum + key, 0);
    // Ways to reach a sum with so many units: the usual table of subset sums.
    const table: Map<number, number>[] = Array.from({ length: treated.length + 1 }, () => new Map<number, number>());
    table[0]!.set(0, 1);
    for (const key of keys)
      for (let size = treated.length; size > 0; size -= 1)
        for (const [sum, ways] of table[size - 1]!)
          table[size]!.set(sum + key, (table[size]!.get(sum + key) ?? 0) + ways);
    const own = table[treated.length]!;
    const total = [...own.values()].reduce((sum, ways) => sum + ways, 0);
    const next = new Map<number, number>();
    for (const [sum, chance] of sums)
      for (const [more, ways] of own) next.set(sum + more, (next.get(sum + more) ?? 0) + (chance * ways) / total);
    sums = next;
  }
  let [upper, lower] = [0, 0];
  for (const [sum, chance] of sums) {
    if (sum >= seen) upper += chance;
    if (sum <= seen) lower += chance;
  }
  return { upper: Math.min(1, upper), lower: Math.min(1, lower) };
}
