import type { FermentBatch } from "../batch";
import type { ShellModel } from "../models/types";
import type { Course } from "../temperature/course";
import { hourOfValue, valueAt } from "../temperature/grid";
import { clamp, type Features, type Runner } from "./trajectory";

/** Molar masses, g/mol: acetic acid, calcium carbonate, calcium. From the IUPAC 2021 atomic weights. */
const ACETIC_G_PER_MOL = 60.052;
const CARBONATE_G_PER_MOL = 100.087;
const CALCIUM_G_PER_MOL = 40.078;
/** Volume of a mole of gas at 20 °C and 1 atm, L. */
const GAS_L_PER_MOL = 24.06;

/** CaCO3 + 2 CH3COOH -> Ca(CH3COO)2 + H2O + CO2, per litre of vinegar. */
export interface Dose {
  readonly acidMolPerL: number;
  readonly shellGPerL: number;
  /** Acid over what the shell can take; under 1 the acid runs out first. */
  readonly acidRatio: number;
  /** Share of the acid left in the end. */
  readonly acidLeft: number;
  readonly calciumGPerL: number;
  readonly shellLeft: number;
  readonly carbonDioxideMolPerL: number;
}

/** @param strength acid against the label's, 1 as labelled */
export function doseOf(batch: FermentBatch, model: ShellModel, strength = 1): Dose {
  const acidMolPerL = ((10 * (batch.acidPercent ?? model.acidPercent)) / ACETIC_G_PER_MOL) * strength;
  const shellGPerL = 1000 / (batch.lPerKg ?? model.lPerKg);
  const acidRatio = acidMolPerL / (2 * ((shellGPerL * model.purity) / CARBONATE_G_PER_MOL));
  const acidLeft = Math.max(model.acidLeft, 1 - 1 / acidRatio);
  return {
    acidMolPerL,
    shellGPerL,
    acidRatio,
    acidLeft,
    calciumGPerL: (CALCIUM_G_PER_MOL * acidMolPerL * (1 - acidLeft)) / 2,
    shellLeft: 1 - model.purity * (1 - Math.max(0, 1 - (1 - acidLeft) * acidRatio)),
    carbonDioxideMolPerL: (acidMolPerL * (1 - acidLeft)) / 2,
  };
}

/**
 * pH of vinegar partly turned to calcium acetate. Acetic acid's pKa 4.76, corrected for ionic strength by Davies 1962.
 * @param free share of the acid that is still free
 */
export function vinegarPh(acidMolPerL: number, free: number): number {
  const calcium = (acidMolPerL * (1 - free)) / 2;
  const ionic = Math.min(0.5, 3 * calcium + 0.004);
  const root = Math.sqrt(ionic);
  const ka = 10 ** -(4.76 - 1.018 * (root / (1 + root) - 0.3 * ionic));
  const b = ka + 2 * calcium;
  return -Math.log10((-b + Math.sqrt(b * b + 4 * ka * (acidMolPerL - 2 * calcium))) / 2);
}

/**
 * Over-pressure of carbon dioxide shut in with its vinegar, bar, and its volume if let out, L. Henry's law after Sander 2015.
 * An upper bound: equilibrium slows the reaction sooner; any bottle gives way long before.
 */
export function sealedCarbonDioxide(
  mol: number,
  liquidL: number,
  headL: number,
  celsius: number,
): { readonly overpressureBar: number; readonly ventedL: number } {
  const kelvin = celsius + 273.15;
  const rt = 0.0820573 * kelvin;
  const henry = 0.034 * Math.exp(2400 * (1 / kelvin - 1 / 298.15));
  return { overpressureBar: (1.01325 * mol) / (headL / rt + henry * liquidL), ventedL: mol * rt };
}

const MOST_D = 120;

/** Free acid over days at 20 °C: shrinking grains (Levenspiel 1999), classical Runge-Kutta. */
function dissolve(batch: FermentBatch, model: ShellModel, dose: Dose): { days: Float64Array; free: Float64Array } {
  const k = model.ratePerD * (dose.shellGPerL / 100) ** model.doseExponent * (batch.sizeFactor ?? model.sizeFactor);
  const stepD = Math.min(0.25, 0.5 / k);
  const slope = (z: number) =>
    -k * Math.max(0, 1 - (1 - z) * dose.acidRatio) ** model.shrinkExponent * (z - model.acidLeft);
  const count = Math.ceil(MOST_D / stepD) + 1;
  const days = new Float64Array(count);
  const free = new Float64Array(count);
  let z = 1;
  let length = count;
  for (let index = 0; index < count; index += 1) {
    days[index] = index * stepD;
    free[index] = z;
    if (z === dose.acidLeft) {
      // Nothing more happens, and a look-up past the end is held there.
      length = index + 1;
      break;
    }
    if (z - dose.acidLeft < 1e-4) {
      z = dose.acidLeft;
      continue;
    }
    const k1 = slope(z);
    const k2 = slope(z + (stepD / 2) * k1);
    const k3 = slope(z + (stepD / 2) * k2);
    const k4 = slope(z + stepD * k3);
    z = Math.max(dose.acidLeft, z + (stepD / 6) * (k1 + 2 * k2 + 2 * k3 + k4));
  }
  return { days: days.subarray(0, length), free: free.subarray(0, length) };
}

/** Shell in vinegar: how far the acid is used up decides; it keeps. `v` is the log of the acid's strength against its label. */
export function shellRunner(batch: FermentBatch, model: ShellModel, course: Course): Runner {
  const { hours, theta, rate } = course;
  const solved = new Map<number, ReturnType<typeof dissolve> & { dose: Dose; extent: Float64Array }>();
  const solve = (v: number) => {
    const known = solved.get(v);
    if (known) return known;
    const dose = doseOf(batch, model, Math.exp(v));
    const table = dissolve(batch, model, dose);
    const extent = table.free.map((z) => (1 - z) / (1 - dose.acidLeft));
    const fresh = { ...table, dose, extent };
    solved.set(v, fresh);
    return fresh;
  };
  return (u, v, featureHours) => {
    const pace = Math.exp(u);
    const { days, free, extent, dose } = solve(v);
    const hourOf = (share: number) => hourOfValue(hours, theta, hourOfValue(days, extent, share) / pace);
    return {
      startH: hourOf(model.startExtent),
      peakH: hourOf(model.doneExtent),
      endH: Infinity,
      crashH: Infinity,
      features: featureHours.map((hour): Features => {
        const at = pace * valueAt(hours, theta, hour);
        const z = valueAt(days, free, at);
        const x = valueAt(days, extent, at);
        const left = Math.max(0, 1 - (1 - z) * dose.acidRatio);
        return {
          extent: x,
          ph: vinegarPh(dose.acidMolPerL, z),
          calciumGPerL: (CALCIUM_G_PER_MOL * dose.acidMolPerL * (1 - z)) / 2,
          shellLeft: 1 - model.purity * (1 - left),
          carbonDioxideLPerL: (GAS_L_PER_MOL * dose.acidMolPerL * (1 - z)) / 2,
          gas:
            (pace * valueAt(hours, rate, hour) * left ** model.shrinkExponent * (z - model.acidLeft)) /
            (1 - model.acidLeft),
          phase: 2 * clamp(x / model.startExtent, 0, 1),
        };
      }),
    };
  };
}
