import type { BatchContent } from "../recipe/composition";
import { SALT_PER_SODIUM } from "../recipe/composition";

/** What adds up in a plot, whatever liquid brings it. */
export const BROUGHT = ["n", "k2o", "salt", "sugar", "acid"] as const;
export type Brought = (typeof BROUGHT)[number];
/** So much of each. */
export type BroughtAmounts = Readonly<Record<Brought, number>>;

export const NOTHING_BROUGHT: BroughtAmounts = { n: 0, k2o: 0, salt: 0, sugar: 0, acid: 0 };

/** Where a ceiling comes from: a law, a table, or growers' judgement. */
export type CeilingSource = "nitrates-directive" | "irrigation-water" | "what-crops-take" | "judged";

/**
 * The most of each that a square metre should get in twelve months, g. Nitrogen: 170 kg/ha a year from manure, Council Directive 91/676/EEC (1991).
 * Salt: as much as 100 mm of water of the best class brings, 450 mg/L, Ayers and Westcot 1985. Potash: about what a heavy crop takes away. Sugar and
 * acid: judged; the soil breaks both down within weeks, and what it can't keep up with starves roots of air or nitrogen.
 */
export const CEILINGS: Readonly<Record<Brought, { readonly gPerM2: number; readonly source: CeilingSource }>> = {
  n: { gPerM2: 17, source: "nitrates-directive" },
  k2o: { gPerM2: 30, source: "what-crops-take" },
  salt: { gPerM2: 45, source: "irrigation-water" },
  sugar: { gPerM2: 100, source: "judged" },
  acid: { gPerM2: 60, source: "judged" },
};
/** Over so many days it adds up. */
export const BROUGHT_OVER_D = 365;

/** Of the nitrogen in dung and compost about so much comes free in the first year, the rest over many. Eghball et al. 2002. */
const FREE_IN_A_YEAR = 0.4;

/** What a litre of a batch brings within the year, g, at its usual analysis. @param solid spread or worked in, not drawn off */
export function broughtPerL(content: BatchContent, solid: boolean): BroughtAmounts {
  const { n, k2o, na, sugar } = content.gPerL;
  return {
    n: n.default * (solid ? FREE_IN_A_YEAR : 1),
    k2o: k2o.default,
    salt: na.default * SALT_PER_SODIUM,
    sugar: sugar.default,
    acid: content.acidGPerL.default,
  };
}

const each = (of: (what: Brought) => number): BroughtAmounts => ({
  n: of("n"),
  k2o: of("k2o"),
  salt: of("salt"),
  sugar: of("sugar"),
  acid: of("acid"),
});

export const addBrought = (a: BroughtAmounts, b: BroughtAmounts): BroughtAmounts => each((what) => a[what] + b[what]);
export const timesBrought = (a: BroughtAmounts, factor: number): BroughtAmounts => each((what) => a[what] * factor);

/** How far a plot is filled up with one thing. */
export interface Filled {
  readonly what: Brought;
  readonly gPerM2: number;
  readonly ceilingGPerM2: number;
  /** Of the ceiling; over 1 is too much. */
  readonly share: number;
  readonly source: CeilingSource;
}

/** How full a plot is with each, the fullest first. @param gOnPlot g on all of it @throws never; a plot without area is empty */
export const filledBy = (gOnPlot: BroughtAmounts, areaM2: number): Filled[] =>
  BROUGHT.map((what) => {
    const { gPerM2: ceilingGPerM2, source } = CEILINGS[what];
    const gPerM2 = areaM2 > 0 ? gOnPlot[what] / areaM2 : 0;
    return { what, gPerM2, ceilingGPerM2, share: gPerM2 / ceilingGPerM2, source };
  }).toSorted((a, b) => b.share - a.share);

export interface CeilingPlot {
  readonly name: string;
  readonly areaM2: number;
  /** What the last twelve months brought, g. */
  readonly soFarG: BroughtAmounts;
  /** What this would add, g. */
  readonly addsG: BroughtAmounts;
}

export interface CeilingCaution {
  readonly code: "over-ceiling";
  readonly weight: "reason";
  readonly plot: string;
  readonly what: Brought;
  readonly gPerM2: number;
  readonly ceilingGPerM2: number;
  readonly source: CeilingSource;
}

/** Adding less than this share of a ceiling is none of its business: a plot that is full for another reason is not barred from a thin dose. */
const ADDS_FROM = 0.01;

/** What one more dose takes past its ceiling, once a substance: the plot that goes furthest past it. */
export const ceilingCautions = (plots: readonly CeilingPlot[]): CeilingCaution[] =>
  BROUGHT.flatMap((what) => {
    const { gPerM2: ceilingGPerM2, source } = CEILINGS[what];
    const over = plots
      .filter(({ areaM2, addsG }) => areaM2 > 0 && addsG[what] / areaM2 >= ADDS_FROM * ceilingGPerM2)
      .map(({ name, areaM2, soFarG, addsG }) => ({ plot: name, gPerM2: (soFarG[what] + addsG[what]) / areaM2 }))
      .filter(({ gPerM2 }) => gPerM2 > ceilingGPerM2)
      .toSorted((a, b) => b.gPerM2 - a.gPerM2)[0];
    return over ? [{ code: "over-ceiling", weight: "reason", what, ceilingGPerM2, source, ...over } as const] : [];
  });
