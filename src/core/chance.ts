/** Repeatable chance (mulberry32). */
export function chanceFrom(seed: number) {
  let state = seed | 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const pick = <T>(items: readonly T[], weights: readonly number[]): T => {
    let left = uniform() * weights.reduce((sum, weight) => sum + weight, 0);
    return items[weights.findIndex((weight) => (left -= weight) <= 0)] ?? items.at(-1)!;
  };
  return { uniform, normal, pick, between: (low: number, high: number) => low + (high - low) * uniform() };
}
export type Chance = ReturnType<typeof chanceFrom>;
