/**
 * A walk shared out to so many people: each gets stops that follow on each other, so that nobody crosses the field twice, and the one with the most
 * has as little as can be. Exact, by trying where each part may end (linear partition; Skiena 1998).
 * @param loads what each stop of the walk takes, in any measure that adds up
 * @returns for each person the stops by their place in the walk; fewer parts than people where there are fewer stops
 * @example shareWalk([3, 1, 1, 3], 2); // [[0, 1], [2, 3]]
 */
export function shareWalk(loads: readonly number[], people: number): number[][] {
  const count = Math.max(1, Math.min(Math.floor(people), loads.length));
  if (loads.length === 0) return [];
  const before = [0];
  for (const load of loads) before.push(before.at(-1)! + load);
  const between = (from: number, to: number) => before[to]! - before[from]!;
  // best[parts][end]: the least that the busiest has to do where the first `end` stops go to so many parts; with where the last part begins.
  let best = loads.map((_load, index) => ({ most: between(0, index + 1), begins: [0] as readonly number[] }));
  for (let parts = 2; parts <= count; parts += 1) {
    best = loads.map((_load, index) => {
      const end = index + 1;
      if (end < parts) return { most: Infinity, begins: [] };
      let found: { most: number; begins: readonly number[] } = { most: Infinity, begins: [] };
      for (let begin = parts - 1; begin < end; begin += 1) {
        const earlier = best[begin - 1]!;
        const most = Math.max(earlier.most, between(begin, end));
        if (most < found.most - 1e-12) found = { most, begins: [...earlier.begins, begin] };
      }
      return found;
    });
  }
  const begins = best.at(-1)!.begins;
  return begins.map((begin, part) =>
    Array.from({ length: (begins[part + 1] ?? loads.length) - begin }, (_, offset) => begin + offset),
  );
}
