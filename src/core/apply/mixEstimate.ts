import type { Range } from "../book/range";
import { SALT_PER_SODIUM, type BatchContent } from "../recipe/composition";

/** What is known of a liquid that is thinned. */
export interface LiquidToThin {
  readonly content: BatchContent;
  /** As last read; null where nobody did. */
  readonly ph: number | null;
}

/** What a mix is about: no reading, an estimate from what went in. */
export interface MixEstimate {
  readonly ph: Range;
  readonly ecMsPerCm: Range;
  readonly warnings: readonly MixWarning[];
}
export type MixWarning =
  | { readonly code: "sour-mix"; readonly ph: number }
  | { readonly code: "alkaline-mix"; readonly ph: number }
  | { readonly code: "salty-mix"; readonly ecMsPerCm: number; readonly limitMsPerCm: number };

// Lactic acid: 90.08 g/mol, pKa 3.86. Carbonic acid at 25 °C: pKa 6.35. Water: pKw 14.
const ACID_G_PER_MOL = 90.08;
const ACID_PKA = 3.86;
const CARBONIC_PKA = 6.35;
const WATER_PKW = 14;
/** Bicarbonate of ordinary waters, soft to hard, mol/L, at their usual pH. */
const ALKALINITY: Range = { low: 0.0003, default: 0.002, high: 0.005 };
const WATER_PH = 7.5;
/** Conductivity of ordinary waters, mS/cm. */
const WATER_EC: Range = { low: 0.05, default: 0.4, high: 0.8 };
/** g of salts in a litre to 1 mS/cm. Ayers and Westcot 1985. */
const G_PER_L_PER_MS = 0.64;
/** g of salts as which a gram of each is dissolved: KCl for K₂O, a chloride for calcium and magnesium, a nitrate for nitrogen; rough. */
const SALTS_PER = { k2o: 1.58, ca: 2.77, mg: 3.92, n: 3.57 } as const;
/** As a liquid of its kind stands where nobody read it: sour where acid is in it, neutral else. */
const UNREAD_SOUR_PH = 3.8;
const UNREAD_PH = 7;

const dissociated = (ph: number, pka: number): number => 1 / (1 + 10 ** (pka - ph));
const hydrogen = (ph: number): number => 10 ** -ph;
const hydroxide = (ph: number): number => 10 ** (ph - WATER_PKW);

/** The pH at which charges are even: what the metals hold against acid, bicarbonate and water's own ions. By bisection; the sum falls with pH. */
function phOf(strongMolPerL: number, acidMolPerL: number, carbonMolPerL: number): number {
  let [low, high] = [1, 13];
  for (let step = 0; step < 50; step += 1) {
    const ph = (low + high) / 2;
    const charge =
      strongMolPerL +
      hydrogen(ph) -
      hydroxide(ph) -
      acidMolPerL * dissociated(ph, ACID_PKA) -
      carbonMolPerL * dissociated(ph, CARBONIC_PKA);
    if (charge > 0) low = ph;
    else high = ph;
  }
  return (low + high) / 2;
}

function mixPh(liquidPh: number, acidGPerL: number, alkalinity: number, partsWater: number): number {
  const acid = acidGPerL / ACID_G_PER_MOL;
  const strong = acid * dissociated(liquidPh, ACID_PKA) - hydrogen(liquidPh) + hydroxide(liquidPh);
  const share = 1 / (1 + partsWater);
  const waterShare = 1 - share;
  const carbon = alkalinity / dissociated(WATER_PH, CARBONIC_PKA);
  return phOf(strong * share + alkalinity * waterShare, acid * share, carbon * waterShare);
}

/** Salts in a litre of the liquid as its ingredients have them, mS/cm. */
function ecOf({ gPerL }: BatchContent, at: keyof Range): number {
  const salts =
    gPerL.na[at] * SALT_PER_SODIUM +
    gPerL.k2o[at] * SALTS_PER.k2o +
    gPerL.ca[at] * SALTS_PER.ca +
    gPerL.mg[at] * SALTS_PER.mg +
    gPerL.n[at] * SALTS_PER.n;
  return salts / G_PER_L_PER_MS;
}

/** Sourer or more alkaline than this marks leaves and roots; judged. */
const SOUR_BELOW = { leaves: 4.5, soil: 4, seedlings: 5 } as const;
const ALKALINE_ABOVE = 8.8;
/** More salt than this holds back leaves, roots of most crops, and seedlings; Maas and Hoffman 1977 for the sensitive crops. */
const SALTY_ABOVE = { leaves: 2, soil: 3, seedlings: 1 } as const;

/**
 * pH and conductivity that a mix is about at 1:N, lowest, likeliest, highest: acid and water of ordinary hardness against each other, salts thinned.
 * A reading of the liquid counts before its ingredients. No reading of the mix: an estimate.
 * @param onto what it lands on
 */
export function estimateMix(
  { content, ph }: LiquidToThin,
  partsWater: number,
  onto: "leaves" | "soil" | "seedlings",
): MixEstimate {
  const acid = content.acidGPerL;
  const sour = acid.default > 0;
  const liquidPh = ph ?? (sour ? UNREAD_SOUR_PH : UNREAD_PH);
  const share = 1 / (1 + partsWater);
  const ends = (["low", "default", "high"] as const).flatMap((acidAt) =>
    (["low", "default", "high"] as const).map((waterAt) =>
      mixPh(liquidPh, acid[acidAt], ALKALINITY[waterAt], partsWater),
    ),
  );
  const mixPhRange: Range = {
    low: Math.min(...ends),
    default: mixPh(liquidPh, acid.default, ALKALINITY.default, partsWater),
    high: Math.max(...ends),
  };
  const ecAt = (at: keyof Range): number => ecOf(content, at) * share + WATER_EC[at] * (1 - share);
  const ec: Range = { low: ecAt("low"), default: ecAt("default"), high: ecAt("high") };
  return {
    ph: mixPhRange,
    ecMsPerCm: ec,
    warnings: [
      ...(mixPhRange.default < SOUR_BELOW[onto] ? [{ code: "sour-mix", ph: mixPhRange.default } as const] : []),
      ...(mixPhRange.default > ALKALINE_ABOVE ? [{ code: "alkaline-mix", ph: mixPhRange.default } as const] : []),
      ...(ec.default > SALTY_ABOVE[onto]
        ? [{ code: "salty-mix", ecMsPerCm: ec.default, limitMsPerCm: SALTY_ABOVE[onto] } as const]
        : []),
    ],
  };
}
