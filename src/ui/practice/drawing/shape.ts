import { chanceFrom } from "@/core/chance";

/** Where a drum stands in its drawing. */
export const [LEFT, RIGHT, TOP, BOTTOM, MID_X] = [42, 198, 84, 214, 120];
/** Half axes of the surface, seen from above at a slant. */
export const [RX, RY] = [78, 20];

/** Places on the surface's ellipse, the same each time. */
export function spots(count: number, seed: number, reach = 0.86): readonly (readonly [number, number, number])[] {
  const chance = chanceFrom(seed);
  return Array.from({ length: count }, () => {
    const [angle, far, size] = [chance.uniform() * 2 * Math.PI, Math.sqrt(chance.uniform()) * reach, chance.uniform()];
    return [MID_X + RX * far * Math.cos(angle), TOP + RY * far * Math.sin(angle), size] as const;
  });
}
