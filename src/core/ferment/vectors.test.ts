import { readFileSync } from "node:fs";
import path from "node:path";
import { toForecastBatch, fromForecast } from "@/commands/modelTerms";
import { trajectoryTask } from "@/commands/trajectory";
import { chanceOf, plainChance, weightsOf } from "./evidence/likelihood";
import type { Observation } from "./evidence/observations";
import { FOAM_TABLE, rowAt } from "./evidence/tables";
import { fallingFoamPhase, risingFoamPhase } from "./kinetics/bloomPhases";
import { doseOf, sealedCarbonDioxide, vinegarPh } from "./kinetics/shell";
import { batchEstimate, farmPrior } from "./learning/farmPrior";
import { findModel } from "./models";
import type { ShellModel } from "./models/types";
import { forecast } from "./outlook/forecast";
import { quantile, sortAtoms } from "./outlook/quantiles";
import { airSeries } from "./temperature/airSeries";
import { cardinalShare, rateAt } from "./temperature/rate";
import { stepLiquid, warmingTimeH } from "./temperature/vessel";

interface Vector {
  readonly id: string;
  readonly fn: string;
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- each function's input has a shape of its own
  readonly input: any;
  readonly expect: Record<string, unknown>;
  readonly tol?: Record<string, number>;
  readonly note?: string;
}

const VECTORS = JSON.parse(
  readFileSync(path.resolve(__dirname, "../../../tests/vectors/ferment.json"), "utf8"),
) as Vector[];

const observation = ({ t, ...rest }: { t: number }): Observation => ({ hour: t, ...rest }) as Observation;
const SHELL = findModel("D1_shell_acid") as ShellModel;

/** Each of the model's functions by the name that the worked cases call it, in their terms. */
const FUNCTIONS: Record<string, (input: Vector["input"]) => unknown> = {
  ctmi: ({ T, Tmin, Topt, Tmax }) => ({
    value: cardinalShare(T, { referenceC: Topt, minC: Tmin, optimumC: Topt, maxC: Tmax }),
  }),
  relRate: ({ method, T }) => ({ value: rateAt(T, findModel(method).temperatures) }),
  arrhenius: ({ T, Ea, Tref }) => ({ value: rateAt(T, { referenceC: Tref, activationJPerMol: Ea }) }),
  drumTau: ({ volumeL, setting }) => ({ value: warmingTimeH(volumeL, setting) }),
  stepLiquid: ({ Tl, Ta0, Ta1, h, tau }) => ({ value: stepLiquid(Tl, Ta0, Ta1, h, tau) }),
  airSeries: ({ times, readings, forecast: ahead, opts }) => {
    const points = (items: { t: number; T: number }[]) => items.map(({ t, T }) => ({ hour: t, celsius: T }));
    const { celsius, sdC } = airSeries(times, points(readings), points(ahead), {
      startHour: opts.startHour,
      nowH: opts.now,
      ambientC: opts.ambient,
      swingC: opts.amp,
    });
    return { T: [...celsius], sd: [...sdC] };
  },
  dose: (input) => {
    const dose = doseOf({ model: SHELL, ...input }, SHELL);
    return {
      C0: dose.acidMolPerL,
      shell_g_per_L: dose.shellGPerL,
      acidLimited: dose.acidRatio < 1,
      zEnd: dose.acidLeft,
      Ca_g_per_L: dose.calciumGPerL,
      shellLeftFraction: dose.shellLeft,
      CO2_mol_per_L: dose.carbonDioxideMolPerL,
    };
  },
  pH_acid: ({ C, z }) => ({ value: vinegarPh(C, z) }),
  co2Sealed: ({ mol, liquidL, headL, T }) => sealedCarbonDioxide(mol, liquidL, headL, T),
  foamPhase: ({ f, y }) => ({ pre: risingFoamPhase(f), post: fallingFoamPhase(y) }),
  rowAt: ({ table, phase }) => ({ row: rowAt(table === "foam" ? FOAM_TABLE : [], phase) }),
  obsProb: ({ method, obs, feat }) => {
    const { pH, ...rest } = feat;
    const shows = { ...rest, ph: pH };
    const marks = { startH: Infinity, endH: Infinity };
    return { value: plainChanceOrMixed(method, observation(obs), shows, marks) };
  },
  obsPowers: ({ method, obs }) => ({ value: weightsOf(obs.map(observation), findModel(method)) }),
  wQuant: ({ t, w, q }) => ({ value: quantile(sortAtoms(t, w), q) }),
  batchEstimate: (input) => batchEstimate(input),
  farmPrior: ({ est, tau, sig }) => {
    const { mean, sd } = farmPrior(est, tau, sig);
    return { m: mean, s: sd };
  },
  traj: (input) => trajectoryTask.run(input),
  forecast: (input) => fromForecast(forecast(toForecastBatch(input), input.now, { times: input.times ?? [] })),
};

function plainChanceOrMixed(
  ...[method, seen, shows, marks]: [string, Observation, object, { startH: number; endH: number }]
) {
  const model = findModel(method);
  expect(plainChance(seen, model, shows, marks)).toBeGreaterThan(0);
  return chanceOf(seen, model, shows, marks);
}

const pick = (value: unknown, dotted: string): unknown =>
  dotted.split(".").reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], value);

describe("worked cases of the ferment model", () => {
  it.each(VECTORS.map((vector) => [`${vector.id} ${vector.fn} ${vector.note ?? ""}`, vector] as const))(
    "%s",
    (_name, vector) => {
      const answer = FUNCTIONS[vector.fn]!(vector.input);
      for (const [at, wanted] of Object.entries(vector.expect)) {
        const seen = pick(answer, at);
        const got = at === "warnings" ? (seen as unknown[]).length : seen;
        const room = vector.tol?.[at];
        if (room === undefined) expect(got).toEqual(wanted === "Infinity" ? Infinity : wanted);
        else expect(Math.abs((got as number) - (wanted as number))).toBeLessThanOrEqual(room);
      }
    },
  );
});
