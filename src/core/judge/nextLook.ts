import type { MeasureKind, SignKind } from "../book/words";
import { chanceOf, tellsOf } from "../ferment/evidence/likelihood";
import { FOAMS, SMELL_CLASSES, type Observation } from "../ferment/evidence/observations";
import type { Belief } from "../ferment/outlook/belief";

/** A look that could be taken, and by what share it would narrow what is not known. */
export interface NextLook {
  readonly kind: "ph" | "ph-strip" | SignKind | MeasureKind;
  readonly narrowsBy: number;
}

interface Candidate {
  readonly kind: NextLook["kind"];
  /** All that it might say. */
  readonly reports: readonly Observation[];
}

const steps = (from: number, to: number, count: number) =>
  Array.from({ length: count }, (_, index) => from + ((to - from) * index) / (count - 1));

function candidates({ batch, nowH: hour }: Belief): Candidate[] {
  const { model } = batch;
  const all: Candidate[] = [
    {
      kind: "ph",
      reports: steps(2.6, 7, 23).map((value) => ({ hour, type: "ph", value, method: "meter" }) as const),
    },
    {
      kind: "ph-strip",
      reports: steps(2.6, 7, 23).map((value) => ({ hour, type: "ph", value, method: "strip" }) as const),
    },
    { kind: "surface", reports: FOAMS.map((value) => ({ hour, type: "foam", value }) as const) },
    { kind: "smell", reports: SMELL_CLASSES.map((value) => ({ hour, type: "smell", value }) as const) },
    {
      kind: "bubbles",
      reports: steps(0, Math.log(201), 14).map(
        (value) => ({ hour, type: "bubbles", value: Math.exp(value) - 1 }) as const,
      ),
    },
    { kind: "parted", reports: steps(0, 1, 11).map((value) => ({ hour, type: "sep", value }) as const) },
    { kind: "sunk", reports: steps(0, 1, 11).map((value) => ({ hour, type: "sink", value }) as const) },
    { kind: "core", reports: steps(5, 50, 16).map((value) => ({ hour, type: "core", value }) as const) },
  ];
  return all.filter(({ reports }) => tellsOf(reports[0]!, model));
}

/** Weight of a look at foam that a pump made. */
const BLOWN_FOAM = 0.25;

/** What is not known yet: the log of the time left to the mark that is next. */
function openQuestion({ ways, nowH, starts }: Belief): number[] {
  const started = ways.reduce(
    (sum, { weight, path, start }) => (path.startH - starts[start]!.shiftH <= nowH ? sum + weight : sum),
    0,
  );
  const mark = started > 0.8 ? "endH" : "startH";
  const farH = 4 * Math.max(24, nowH);
  return ways.map(({ path, start }) =>
    Math.log(1 + Math.min(farH, Math.max(0, path[mark] - starts[start]!.shiftH - nowH)) / 2),
  );
}

/** Sum of the weights, and the values' weighted variance. Plain loops: a look is asked some fifty times over hundreds of ways. */
function spreadOf(values: ArrayLike<number>, weights: ArrayLike<number>): { total: number; variance: number } {
  let [total, sum, squares] = [0, 0, 0];
  for (let index = 0; index < values.length; index += 1) total += weights[index]!;
  for (let index = 0; index < values.length; index += 1) sum += weights[index]! * values[index]!;
  const mean = sum / total;
  for (let index = 0; index < values.length; index += 1) squares += weights[index]! * (values[index]! - mean) ** 2;
  return { total, variance: squares / total };
}

/**
 * Looks in the order of how much each would narrow when the next mark falls, by the expected variance that would be left over all
 * that the look might say (value of information before the look is taken; Raiffa and Schlaifer 1961).
 */
export function looksByWorth(belief: Belief): NextLook[] {
  const question = openQuestion(belief);
  const prior = Float64Array.from(belief.ways, ({ weight }) => weight);
  const { variance: before } = spreadOf(question, prior);
  if (before < 1e-6) return [];
  const { model } = belief.batch;
  const weights = new Float64Array(belief.ways.length);
  const shown = belief.ways.map(({ path }) => path.features.at(-1)!);
  // Blown air makes foam of its own: where there is any, a look at it settles little.
  const foamCounts = model.cls === "bloom" && model.air ? BLOWN_FOAM : 1;
  return candidates(belief)
    .map(({ kind, reports }) => {
      const counts = kind === "surface" ? foamCounts : 1;
      let left = 0;
      let total = 0;
      for (const report of reports) {
        belief.ways.forEach(({ weight, path }, way) => {
          const chance = chanceOf(report, model, shown[way]!, path);
          weights[way] = weight * (counts === 1 ? chance : chance ** counts);
        });
        const { total: chance, variance } = spreadOf(question, weights);
        left += chance * variance;
        total += chance;
      }
      return { kind, narrowsBy: Math.max(0, 1 - left / total / before) };
    })
    .toSorted((a, b) => b.narrowsBy - a.narrowsBy);
}
