import { requirePositive, requireWithin } from "../errors";

/** Standard atomic weights summed, g/mol. Prohaska et al. 2022, Pure Appl. Chem. 94:573. */
const MOLAR_MASS = { aceticAcid: 60.052, calciumCarbonate: 100.087, calcium: 40.078 } as const;
/** Molar volume of an ideal gas at 20 °C and 101.325 kPa, L/mol. */
const MOLAR_VOLUME_20C_L = 24.055;
/** Share of a cleaned, roasted shell that is calcium carbonate. */
export const SHELL_PURITY = 0.95;

export interface ShellCalciumRequest {
  readonly vinegarL: number;
  /** Acetic acid, % w/v (g in 100 mL). */
  readonly aceticPercent: number;
  readonly shellKg: number;
  /** Share of the shell that is CaCO₃; 0.95 if missing. */
  readonly purity?: number;
}

export interface ShellCalcium {
  readonly limiting: "acid" | "shell";
  /** Shell material that dissolves, kg. */
  readonly dissolvedKg: number;
  readonly calciumGPerL: number;
  /** Dry shell left over, kg: it serves again. With the shell limiting, its few per cent of grit are counted as gone. */
  readonly shellLeftKg: number;
  readonly vinegarNeededForAllL: number;
  readonly carbonDioxideL: number;
}

/**
 * What vinegar does to shell when it has done all it can: CaCO₃ + 2 CH₃COOH → Ca(CH₃COO)₂ + H₂O + CO₂.
 * Complete reaction of whichever runs out first; gas at 20 °C.
 * @throws {DomainError} `not-positive`, `out-of-range` (an acid stronger than kitchen and cleaning vinegars, a purity over 1)
 * @example shellCalcium({ vinegarL: 1, aceticPercent: 5, shellKg: 1 }).limiting; // "acid"
 */
export function shellCalcium({
  vinegarL,
  aceticPercent,
  shellKg,
  purity = SHELL_PURITY,
}: ShellCalciumRequest): ShellCalcium {
  requirePositive("vinegar", vinegarL, "L", "/vinegar/volume/value");
  requireWithin("vinegar", vinegarL, "L", 0, 20_000, "/vinegar/volume/value");
  requirePositive("acid-strength", aceticPercent, "%", "/vinegar/aceticPercent");
  requireWithin("acid-strength", aceticPercent, "%", 0, 30, "/vinegar/aceticPercent");
  requirePositive("shell-mass", shellKg, "kg", "/shell/mass/value");
  requireWithin("shell-mass", shellKg, "kg", 0, 20_000, "/shell/mass/value");
  requireWithin("purity", purity, "", 0.3, 1, "/shell/purity");
  const acidMol = (vinegarL * 10 * aceticPercent) / MOLAR_MASS.aceticAcid;
  const carbonateMol = (shellKg * 1000 * purity) / MOLAR_MASS.calciumCarbonate;
  const limiting = acidMol / 2 < carbonateMol ? "acid" : "shell";
  const reactedMol = Math.min(acidMol / 2, carbonateMol);
  const dissolvedKg = (reactedMol * MOLAR_MASS.calciumCarbonate) / purity / 1000;
  return {
    limiting,
    dissolvedKg,
    calciumGPerL: (reactedMol * MOLAR_MASS.calcium) / vinegarL,
    shellLeftKg: Math.max(0, shellKg - dissolvedKg),
    vinegarNeededForAllL: (2 * carbonateMol * MOLAR_MASS.aceticAcid) / (10 * aceticPercent),
    carbonDioxideL: reactedMol * MOLAR_VOLUME_20C_L,
  };
}
