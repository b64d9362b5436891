/** What a batch would show at an hour; only what its class has. */
export interface Features {
  /** Foam against the usual greatest head, and its phase: 0 quiet, 1 ring, 2 patches, 3 full, 4 collapsing, 5 gone. */
  readonly foam?: number;
  readonly foamPhase?: number;
  /** For smells: blooms as the foam's phases; all others 0 raw, 1 half-way, 2 ready, 3 old. */
  readonly phase?: number;
  /** Gas against the liveliest. */
  readonly gas?: number;
  /** Living cells of good quality against the usual greatest. */
  readonly viability?: number;
  readonly ph?: number;
  /** Share that has parted. */
  readonly parted?: number;
  readonly sunk?: number;
  readonly charged?: number;
  /** Share of what will dissolve that has. */
  readonly extent?: number;
  readonly calciumGPerL?: number;
  readonly shellLeft?: number;
  readonly carbonDioxideLPerL?: number;
  readonly coreC?: number;
}

/** One way a batch may run: when its window opens, is best, closes, when it crashes (hours; Infinity for never), and what it shows. */
export interface Trajectory {
  readonly startH: number;
  readonly peakH: number;
  readonly endH: number;
  readonly crashH: number;
  /** Two-stage soaks: when the open stage is over. */
  readonly sealH?: number;
  /** Acid ferments: it settles above its target. */
  readonly settlesHigh?: boolean;
  /** One for each hour asked for, in their order. */
  readonly features: readonly Features[];
}

/** Runs a batch at a log rate `u` and a second unknown `v`, and tells what it shows at some hours. */
export type Runner = (u: number, v: number, featureHours: readonly number[]) => Trajectory;

export const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** Linear through points (x, y) with x ascending, held past either end. */
export function through(points: readonly (readonly [number, number])[], x: number): number {
  const after = points.findIndex(([px]) => px >= x);
  if (after === 0) return points[0]![1];
  if (after === -1) return points[points.length - 1]![1];
  const [x0, y0] = points[after - 1]!;
  const [x1, y1] = points[after]!;
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
