/** What a liquid is carried and kept in, before it is poured. */
export interface Containers {
  readonly count: number;
  /** What is in the last one, L; as much as in the others where it comes out even. */
  readonly lastL: number;
  /** What a full one weighs with what is in it, kg. */
  readonly massKg: number;
  /** Whether one person lifts it. */
  readonly isLiftable: boolean;
}

/** A litre of a brew is taken as a kilogram. */
const KG_PER_L = 1;
/** An empty can of plastic weighs about a twentieth of the water that it holds; judged. */
const EMPTY_KG_PER_L = 0.05;
/** More than this is for two. */
const LIFTABLE_KG = 25;

/**
 * How many containers so much liquid wants, and what one weighs.
 * @param sizeL what one holds, L @param fillShare how full it is filled: less where it still works
 * @example containersFor(168, 20, 1); // 9 cans, the last with 8 L, 21 kg each
 */
export function containersFor(litres: number, sizeL: number, fillShare: number): Containers {
  const eachL = sizeL * fillShare;
  const count = Math.max(1, Math.ceil(litres / eachL - 1e-9));
  const massKg = Math.min(eachL, litres) * KG_PER_L + sizeL * EMPTY_KG_PER_L;
  return { count, lastL: litres - (count - 1) * eachL, massKg, isLiftable: massKg <= LIFTABLE_KG };
}
