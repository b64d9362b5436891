import { chanceFrom, type Chance } from "../chance";
import { DomainError } from "../errors";

export interface PlaceAsked {
  readonly units: readonly { readonly id: string; readonly x: number; readonly y: number; readonly edge?: boolean }[];
  readonly arms?: readonly string[];
  readonly seed?: number;
  readonly blockSize?: number;
  /** Degrees anticlockwise from +x: the way the ground changes most. */
  readonly gradient?: { readonly direction: number };
  readonly use?: string;
  /** m, where the farm wants it wider. */
  readonly guard?: number;
}
export interface Placement {
  readonly blocks: readonly {
    readonly block: number;
    readonly edge: boolean;
    readonly units: readonly { readonly unit: string; readonly arm: string }[];
  }[];
  readonly perArm: Readonly<Record<string, number>>;
  /** Units that make no whole block: they stay out. */
  readonly spare: readonly string[];
  readonly arrangements: number;
  /** No reading within so much of another arm, m. */
  readonly guardM: number;
  /** What a unit is called by whoever scores and does not know. */
  readonly codes: Readonly<Record<string, string>>;
  readonly seed: number;
  readonly least: number;
  readonly assumed: readonly ("arms" | "gradient" | "guard-of-a-drench")[];
}
export const CONTROL = "without";
const GUARD_M = { spray: 2, drench: 0.5 } as const;
/** Uses that go through the air. */
const SPRAYS = ["foliar", "spray", "orchard"];
/** Letters and digits that no other looks like. */
const [LETTERS, DIGITS] = ["ABCDEFGHJKMNPRTUVWXY", "23456789"];

const shuffled = <T>(items: readonly T[], chance: Chance): T[] => {
  const list = [...items];
  for (let at = list.length - 1; at > 0; at -= 1) {
    const other = Math.floor(chance.uniform() * (at + 1));
    [list[at], list[other]] = [list[other]!, list[at]!];
  }
  return list;
};
function check({ units, arms = ["with", CONTROL], seed, blockSize }: PlaceAsked): void {
  const refuse = (
    fault: "no-seed" | "no-control" | "arm-twice" | "unit-twice" | "block-size" | "too-few-units",
    name: string,
    path: string,
  ): never => {
    throw new DomainError("trial-fault", { fault, name }, path);
  };
  if (seed === undefined) refuse("no-seed", "", "/seed");
  if (!arms.includes(CONTROL)) refuse("no-control", CONTROL, "/arms");
  for (const [nth, arm] of arms.entries()) if (arms.indexOf(arm) !== nth) refuse("arm-twice", arm, `/arms/${nth}`);
  if (arms.length < 2) refuse("no-control", CONTROL, "/arms");
  const ids = units.map(({ id }) => id);
  for (const [nth, id] of ids.entries()) if (ids.indexOf(id) !== nth) refuse("unit-twice", id, `/units/${nth}/id`);
  const size = blockSize ?? arms.length;
  if (size < arms.length || size % arms.length !== 0) refuse("block-size", String(size), "/blockSize");
  if (units.length < size) refuse("too-few-units", String(units.length), "/units");
}
const factorial = (n: number): number => (n < 2 ? 1 : n * factorial(n - 1));

function codesFor(ids: readonly string[], chance: Chance): Record<string, string> {
  const used = new Set<string>();
  const pick = (from: string): string => from[Math.floor(chance.uniform() * from.length)]!;
  return Object.fromEntries(
    ids.map((id) => {
      let code = "";
      do code = `${pick(LETTERS)}${pick(LETTERS)}${pick(DIGITS)}`;
      while (used.has(code));
      used.add(code);
      return [id, code];
    }),
  );
}

/**
 * Lots drawn for a trial: neighbours along the gradient make a block, edge with edge and inner with inner, and within each block the arms are shuffled. No draw is
 * refused and none is mended: what should be balanced is a reason for blocks (Bailey 1983).
 * @throws {DomainError} `trial-fault` without a seed or a control, for names that stand twice, for fewer units than a block
 */
export function placeTrial(asked: PlaceAsked): Placement {
  check(asked);
  const { units, arms = ["with", CONTROL], gradient, use } = asked;
  const seed = asked.seed!;
  const chance = chanceFrom(seed);
  const size = asked.blockSize ?? arms.length;
  const angle = ((gradient?.direction ?? 0) * Math.PI) / 180;
  const along = ({ x, y }: { x: number; y: number }): number => x * Math.cos(angle) + y * Math.sin(angle);
  const blocks: Placement["blocks"][number][] = [];
  const spare: string[] = [];
  for (const edge of [true, false]) {
    const list = units
      .filter((unit) => (unit.edge ?? false) === edge)
      .toSorted((one, other) => {
        const apart = along(one) - along(other);
        return Math.abs(apart) > 1e-9 ? apart : one.id < other.id ? -1 : 1;
      });
    while (list.length >= size) {
      const drawn = shuffled(
        arms.flatMap((arm) => Array.from({ length: size / arms.length }, () => arm)),
        chance,
      );
      blocks.push({
        block: blocks.length + 1,
        edge,
        units: list.splice(0, size).map(({ id }, nth) => ({ unit: id, arm: drawn[nth]! })),
      });
    }
    spare.push(...list.map(({ id }) => id));
  }
  const perArm = Object.fromEntries(
    arms.map((arm) => [arm, blocks.flatMap((block) => block.units).filter((unit) => unit.arm === arm).length]),
  );
  const ways = factorial(size) / factorial(size / arms.length) ** arms.length;
  const isSpray = use !== undefined && SPRAYS.some((spray) => use.startsWith(spray));
  return {
    ...{ blocks, perArm, spare },
    arrangements: ways ** blocks.length,
    guardM: Math.max(asked.guard ?? 0, isSpray ? GUARD_M.spray : GUARD_M.drench),
    codes: codesFor(
      blocks.flatMap((block) => block.units.map(({ unit }) => unit)),
      chance,
    ),
    seed,
    least: leastBlocks(size, arms.length),
    assumed: [
      ...(asked.arms ? [] : (["arms"] as const)),
      ...(gradient ? [] : (["gradient"] as const)),
      ...(use === undefined ? (["guard-of-a-drench"] as const) : []),
    ],
  };
}
/** Fewest blocks that could ever tell at the first of several looks: with fewer, the clearest of all placements is not rare enough. */
function leastBlocks(size: number, arms: number): number {
  const each = size / arms;
  // An arm against the control alone: which of the two sets of units got it.
  const ways = factorial(2 * each) / factorial(each) ** 2;
  let blocks = 1;
  while (2 / ways ** blocks > 0.025 / (arms - 1) + 1e-12) blocks += 1;
  return blocks;
}
