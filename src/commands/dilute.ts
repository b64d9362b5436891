import type { FromSchema } from "json-schema-to-ts";
import { DILUTE_INPUT, DILUTE_OUTPUT } from "@/contracts/commands/schemas";
import { requireWithin } from "@/core/errors";
import { dilute, dilutionOf } from "@/core/quantity/dilute";
import { mlPerLitreOfWater, parseDilution, percentOfMix } from "@/core/quantity/ratio";
import { sayDilution, sayVolume } from "@/formats/amounts";
import { inLitres, litres, type Task } from "./task";
import { checkMeasures } from "@/core/quantity/convert";

type Input = FromSchema<typeof DILUTE_INPUT>;
const GREATEST_L = 5_000_000;

function run({ concentrate, water, total, ratio, measures = [] }: Input) {
  checkMeasures(measures);
  const dilution = ratio === undefined ? undefined : parseDilution(ratio, measures);
  const amounts = {
    concentrateL: inLitres(concentrate, measures),
    waterL: inLitres(water, measures),
    totalL: inLitres(total, measures),
  };
  const mix = dilute({ ...definedOnly(amounts), ...(dilution ? { dilution } : {}) });
  requireWithin("mix-volume", mix.totalL, "L", 0, GREATEST_L, "/total");
  const found = dilution ?? dilutionOf(mix);
  const isNeat = found.partsWater === 0;
  return {
    concentrate: litres(mix.concentrateL),
    water: litres(mix.waterL),
    total: litres(mix.totalL),
    ratio: isNeat ? "neat" : `1:${found.partsWater}`,
    mlPerL: isNeat ? null : mlPerLitreOfWater(found),
    percent: percentOfMix(found),
    text: isNeat
      ? `${sayVolume(mix.totalL, "metric")}, neat`
      : `${sayVolume(mix.concentrateL, "metric", 4)} in ${sayVolume(mix.waterL, "metric", 4)} of water (${sayDilution(found.partsWater)})`,
    assumed: [
      "1:N is 1 part concentrate to N parts water; a dose per litre is per litre of water; % is the share of the mix",
    ],
  };
}

const definedOnly = <T extends object>(value: T) =>
  Object.fromEntries(Object.entries(value).filter(([, item]) => item !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };

export const diluteTask: Task<Input> = {
  name: "dilute",
  summary: "concentrate, water and total from two of them, or from one and a ratio",
  input: DILUTE_INPUT,
  output: DILUTE_OUTPUT,
  example: { total: { value: 16, unit: "L" }, ratio: "1:500" },
  run,
};
