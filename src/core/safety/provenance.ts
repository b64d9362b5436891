import { addDays } from "../calendar";
import type { CautionId } from "../book/cautions";

export const DUNG_AGES = ["fresh", "dry", "composted", "aged"] as const;
export type DungAge = (typeof DUNG_AGES)[number];
export const ANIMALS = ["cow", "horse", "goat or sheep", "rabbit", "poultry", "pig", "mixed"] as const;
export type Animal = (typeof ANIMALS)[number];
export const URINE_DONORS = ["person", "several people", "cow", "goat or sheep"] as const;
export type UrineDonor = (typeof URINE_DONORS)[number];
const IS_PERSON: Readonly<Record<UrineDonor, boolean>> = {
  "person": true,
  "several people": true,
  "cow": false,
  "goat or sheep": false,
};
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
    readonly animal: Animal;
    readonly age: DungAge;
    readonly heapedOn: string | null;
  } | null;
  readonly urine?: {
    readonly donor: UrineDonor;
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

/** What of a lot a hazard is about; days as ISO dates. */
export type HazardReason =
  | { readonly code: "dung"; readonly age: DungAge; readonly animal: Animal }
  | {
      readonly code: "urine-stored";
      readonly donor: UrineDonor;
      readonly collectedUntil: string;
      readonly holdD: number;
      readonly notBefore: string;
    }
  | { readonly code: "urine-medicine" }
  | { readonly code: "char-source"; readonly source: CharSource }
  | { readonly code: "beans-crippled" }
  | { readonly code: "beans-sown"; readonly sownOn: string }
  | { readonly code: "herbicide-untested" }
  | { readonly code: "stood-hot" };

export interface LotHazard {
  readonly caution: CautionId;
  readonly because: HazardReason;
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
  const { age, animal } = dung;
  return [{ caution: "manure", because: { code: "dung", age, animal }, notBefore: null, blocks: false }];
};

const urineHazards = ({ urine }: Provenance): LotHazard[] => {
  if (!urine) return [];
  const { donor, collectedUntil } = urine;
  const notBefore = addDays(collectedUntil, URINE_HOLD_D);
  const hold: LotHazard = {
    caution: "urine",
    because: { code: "urine-stored", donor, collectedUntil, holdD: URINE_HOLD_D, notBefore },
    notBefore,
    blocks: false,
  };
  return IS_PERSON[donor] && urine.medicine
    ? [hold, { caution: "urine", because: { code: "urine-medicine" }, notBefore: null, blocks: true }]
    : [hold];
};

const BAD_CHAR: readonly CharSource[] = ["treated or painted wood", "briquettes", "unknown"];
const charHazards = ({ charSource }: Provenance): LotHazard[] => {
  if (!charSource || !BAD_CHAR.includes(charSource)) return [];
  return [
    { caution: "char-dust", because: { code: "char-source", source: charSource }, notBefore: null, blocks: true },
  ];
};

const herbicideHazards = ({ herbicideSuspected }: Provenance, { sownOn, result }: BeanTest): LotHazard[] => {
  if (result === "damaged")
    return [{ caution: "herbicide", because: { code: "beans-crippled" }, notBefore: null, blocks: true }];
  if (!herbicideSuspected || result === "clean") return [];
  return [
    {
      caution: "herbicide",
      because: sownOn ? { code: "beans-sown", sownOn } : { code: "herbicide-untested" },
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
