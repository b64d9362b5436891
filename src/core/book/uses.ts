import { DomainError } from "../errors";
import type { Range } from "./range";

export interface Use {
  readonly name: string;
  /** Whether the mix lands on leaves, on soil, or on neither. */
  readonly target: "leaves" | "soil" | "other";
  /** Litres of mix per square metre, where growers state it. */
  readonly mixLPerM2: Range | null;
  readonly mixLPerPlant: Range | null;
  readonly how: string;
}

const DRENCH_L_PER_M2: Range = { low: 1, default: 2, high: 5 };
const CLUMP_L_PER_PLANT: Range = { low: 3, default: 4, high: 5 };

export const USES = {
  "drench-bare": {
    name: "Drench, bare soil",
    target: "soil",
    mixLPerM2: DRENCH_L_PER_M2,
    mixLPerPlant: null,
    how: "Before planting. Rain after it helps; water it in otherwise.",
  },
  "drench-growing": {
    name: "Drench, growing plants",
    target: "soil",
    mixLPerM2: DRENCH_L_PER_M2,
    mixLPerPlant: CLUMP_L_PER_PLANT,
    how: "At the foot of the plant, on moist soil, away from full sun.",
  },
  "foliar": {
    name: "On the leaves",
    target: "leaves",
    mixLPerM2: { low: 0.04, default: 0.06, high: 0.1 },
    mixLPerPlant: null,
    how: "Early or at dusk, dry leaves ahead, little wind. Strain to 200 µm. Mask and gloves; not on produce ready to pick.",
  },
  "seedling": {
    name: "Seedlings",
    target: "soil",
    mixLPerM2: { low: 0.5, default: 1, high: 2 },
    mixLPerPlant: { low: 0.02, default: 0.035, high: 0.05 },
    how: "A small sip per cell or pot, never stronger than stated.",
  },
  "seed-mix": {
    name: "Seed mix",
    target: "other",
    mixLPerM2: null,
    mixLPerPlant: null,
    how: "Wet the mix until it just holds together.",
  },
  "injector": {
    name: "Through the injector",
    target: "soil",
    mixLPerM2: DRENCH_L_PER_M2,
    mixLPerPlant: null,
    how: "Strain to 100 µm for drip. Flush the line with plain water after.",
  },
  "compost": {
    name: "On compost",
    target: "other",
    mixLPerM2: { low: 1, default: 3, high: 5 },
    mixLPerPlant: null,
    how: "Over the compost while it is turned.",
  },
  "incorporate": {
    name: "Worked in",
    target: "soil",
    mixLPerM2: { low: 2, default: 4, high: 6 },
    mixLPerPlant: null,
    how: "Into the top 15 cm.",
  },
  "houseplants": {
    name: "Houseplants",
    target: "soil",
    mixLPerM2: null,
    mixLPerPlant: { low: 0.1, default: 0.2, high: 0.5 },
    how: "On moist mix, a little at a time, into a saucer that is emptied. It smells for a day: by an open window.",
  },
  "bedding": {
    name: "On animal bedding",
    target: "other",
    mixLPerM2: { low: 0.5, default: 1, high: 2 },
    mixLPerPlant: null,
    how: "A fine spray over the litter, the animals out of the way; damp, never wet. Not in water or feed.",
  },
  "char": {
    name: "To charge char",
    target: "other",
    mixLPerM2: null,
    mixLPerPlant: null,
    how: "Char wetted first, mask on; then as much as it drinks. Two weeks until it is charged.",
  },
  "septic": {
    name: "Septic tank",
    target: "other",
    mixLPerM2: null,
    mixLPerPlant: null,
    how: "Down the drain that leads to it, in the evening. Check local law first; it mends nothing that is broken.",
  },
  "top-dress": {
    name: "Top dressing",
    target: "soil",
    mixLPerM2: { low: 1, default: 2, high: 3 },
    mixLPerPlant: null,
    how: "On the surface, under mulch.",
  },
} as const satisfies Record<string, Use>;

export type UseId = keyof typeof USES;
export const USE_IDS = Object.keys(USES) as readonly UseId[];

/** @throws {DomainError} `unknown-use` */
export function findUse(id: string, path = "/use"): Use & { readonly id: UseId } {
  if (!Object.hasOwn(USES, id)) throw new DomainError("unknown-use", { id }, path);
  return { id: id as UseId, ...USES[id as UseId] };
}
