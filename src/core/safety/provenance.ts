import { addDays } from "../calendar";
import type { CautionId } from "../book/cautions";

export const DUNG_AGES = ["fresh", "dry", "composted", "aged"] as const;
export type DungAge = (typeof DUNG_AGES)[number];
export const ANIMALS = ["cow", "horse", "goat or sheep", "rabbit", "poultry", "pig", "mixed"] as const;
export const URINE_DONORS = ["person", "several people", "cow", "goat or sheep"] as const;
export const CHAR_SOURCES = [
  "plain wood",
  "bamboo or straw",
  "nutshell",
  "bone",
  "treated or painted wood",
  "briquettes",
  "unknown",
] as const;
export type CharSource = (typeof CHAR_SOURCES)[number];

/** Where a lot came from, as far as it matters to who eats what it feeds. */
export interface Provenance {
  readonly dung?: {
    readonly animal: (typeof ANIMALS)[number];
    readonly age: DungAge;
    readonly heapedOn: string | null;
  } | null;
  readonly urine?: {
    readonly donor: (typeof URINE_DONORS)[number];
    readonly collectedFrom: string;
    readonly collectedUntil: string;
    readonly medicine: boolean;
  } | null;
  readonly charSource?: CharSource | null;
  /** What was picked, where, and whether it may have met weedkiller. */
  readonly plant?: { readonly species: string; readonly part: string; readonly place: string } | null;
  /** Hay, straw, dung or clippings that may carry a weedkiller that survives the heap. */
  readonly herbicideSuspected?: boolean;
  readonly storedHot?: boolean;
  /** Litres of rinse that a rice wash is of, since doses refer to them. */
  readonly firstRinse?: { readonly riceKg: number; readonly rinseL: number } | null;
  /** Why it was taken in against a caution. */
  readonly overrideReason?: string | null;
}

/** A bean test of a lot: three beans sown in it, looked at after two weeks. */
export interface BeanTest {
  readonly sownOn: string | null;
  readonly result: "clean" | "damaged" | null;
}

export interface LotHazard {
  readonly caution: CautionId;
  /** Said beside the caution: what of this lot it is about. */
  readonly because: string;
  /** Not before this day, whatever is wanted; null where nothing has to be waited for. */
  readonly notBefore: string | null;
  /** It must not go in at all. */
  readonly blocks: boolean;
  /** It waits for a test that nobody has read yet. */
  readonly untested?: boolean;
}

/** Urine is stored a month at the least before it goes anywhere (the shortest hold that growers' rules know). */
export const URINE_HOLD_D = 30;
/** Beans sown in it are looked at after two weeks. */
export const BEAN_TEST_D = 14;

const dungHazards = ({ dung }: Provenance): LotHazard[] => {
  if (!dung) return [];
  const said: Record<DungAge, string> = {
    fresh: `fresh ${dung.animal} dung: germs alive`,
    dry: `dried ${dung.animal} dung: drying does not kill its germs`,
    aged: `aged ${dung.animal} dung: fewer germs, not none`,
    composted: `hot-composted ${dung.animal} dung: cautious all the same, unless its heat was logged`,
  };
  return [{ caution: "manure", because: said[dung.age], notBefore: null, blocks: false }];
};

const urineHazards = ({ urine }: Provenance): LotHazard[] => {
  if (!urine) return [];
  const human = urine.donor.includes("pe");
  const hold: LotHazard = {
    caution: "urine",
    because: `urine of ${urine.donor}, collected to ${urine.collectedUntil}: stored ${URINE_HOLD_D} days first`,
    notBefore: addDays(urine.collectedUntil, URINE_HOLD_D),
    blocks: false,
  };
  return human && urine.medicine
    ? [hold, { caution: "urine", because: "from somebody who takes medicine", notBefore: null, blocks: true }]
    : [hold];
};

const charHazards = ({ charSource }: Provenance): LotHazard[] => {
  const bad: Partial<Record<CharSource, string>> = {
    "treated or painted wood": "char of treated or painted wood holds arsenic, copper or lead",
    "briquettes": "briquettes hold coal, borax and starch",
    "unknown": "nobody knows what it was burnt from",
  };
  const because = charSource ? bad[charSource] : undefined;
  return because ? [{ caution: "char-dust", because, notBefore: null, blocks: true }] : [];
};

const herbicideHazards = ({ herbicideSuspected }: Provenance, { sownOn, result }: BeanTest): LotHazard[] => {
  if (result === "damaged")
    return [
      { caution: "herbicide", because: "beans sown in it came up crippled: weedkiller", notBefore: null, blocks: true },
    ];
  if (!herbicideSuspected || result === "clean") return [];
  return [
    {
      caution: "herbicide",
      because: sownOn ? `bean test sown ${sownOn}, not read yet` : "may carry weedkiller, no bean test yet",
      notBefore: sownOn ? addDays(sownOn, BEAN_TEST_D) : null,
      blocks: false,
      untested: true,
    },
  ];
};

/** All that a lot's origin brings with it into every batch made from it. */
export const lotHazards = (provenance: Provenance, beans: BeanTest): LotHazard[] => [
  ...dungHazards(provenance),
  ...urineHazards(provenance),
  ...charHazards(provenance),
  ...herbicideHazards(provenance, beans),
];

/** What keeps a lot out of a batch on a day: a hold that is not over, or a hazard that never goes in. Null where it may. */
export function keepsOut(hazards: readonly LotHazard[], onDay: string): LotHazard | null {
  return (
    hazards.find(({ blocks }) => blocks) ??
    hazards.find(({ notBefore, untested }) => untested === true || (notBefore !== null && notBefore > onDay)) ??
    null
  );
}
