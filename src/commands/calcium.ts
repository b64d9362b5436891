import type { FromSchema } from "json-schema-to-ts";
import { CALCIUM_INPUT, CALCIUM_OUTPUT } from "@/contracts/commands/schemas";
import { CAUTIONS } from "@/core/book/cautions";
import { kilogramsIn } from "@/core/quantity/convert";
import { SHELL_PURITY, shellCalcium } from "@/core/recipe/shellCalcium";
import { sayMass, sayVolume } from "@/formats/amounts";
import { formatNumber } from "@/formats/numbers";
import { inLitres, litres, type Task } from "./task";

type Input = FromSchema<typeof CALCIUM_INPUT>;

function run({ vinegar, shell, measures = [] }: Input) {
  const found = shellCalcium({
    vinegarL: inLitres(vinegar.volume, measures)!,
    aceticPercent: vinegar.aceticPercent,
    shellKg: kilogramsIn(shell.mass, { measures }),
    ...(shell.purity === undefined ? {} : { purity: shell.purity }),
  });
  const left =
    found.limiting === "acid"
      ? `the acid runs out first, ${sayMass(found.shellLeftKg, "metric")} of shell are left and serve again`
      : "the shell runs out first, some acid is left";
  return {
    limiting: found.limiting,
    dissolved: { value: found.dissolvedKg, unit: "kg" },
    calciumGPerL: found.calciumGPerL,
    shellLeft: { value: found.shellLeftKg, unit: "kg" },
    vinegarNeededForAll: litres(found.vinegarNeededForAllL),
    carbonDioxideL: found.carbonDioxideL,
    text: `${formatNumber(found.calciumGPerL)} g of calcium per litre: ${left}. ${sayVolume(found.carbonDioxideL, "metric")} of gas come off.`,
    cautions: [CAUTIONS["breathable-lid"], CAUTIONS["gas-pressure"]],
    assumed: [
      ...(shell.purity === undefined ? [`shell ${SHELL_PURITY * 100} % calcium carbonate`] : []),
      "acid in % by weight in volume; gas at 20 °C; reaction run to its end",
    ],
  };
}

export const calciumTask: Task<Input> = {
  name: "calcium",
  summary: "shell in vinegar: which runs out first, calcium per litre, shell left, gas given off",
  input: CALCIUM_INPUT,
  output: CALCIUM_OUTPUT,
  example: {
    vinegar: { volume: { value: 4, unit: "L" }, aceticPercent: 5 },
    shell: { mass: { value: 1, unit: "kg" } },
  },
  run,
};
