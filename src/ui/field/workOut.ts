import { workOutLoads, type WorkedLoads } from "@/core/apply/loads";
import { loadTool } from "@/core/apply/tool";
import { DomainError } from "@/core/errors";
import { parseDilution, type Dilution } from "@/core/quantity/ratio";
import type { UnitSystem } from "@/formats/amounts";
import { numberDoubt } from "@/formats/numbers";
import type { PlotView } from "@/services/field";
import type { Tool } from "@/services/types";
import { sayDomain } from "@/words/domain";
import { speechOf } from "@/words/speech";

/** What the chosen figures come to: a plan, or what is wrong and at which field. */
export interface Worked {
  readonly plan: WorkedLoads | null;
  readonly dilution: Dilution | null;
  readonly problem: { readonly path: string; readonly message: string } | null;
}

/** Works out the loads for what is typed; every refusal of the core is placed at its field. */
export function workOut(
  ratio: string,
  rate: { readonly amountL: number | null; readonly text: string },
  per: "m2" | "plant",
  tool: Tool,
  plots: readonly (PlotView & { readonly mixL?: number })[],
  availableL: number,
  units: UnitSystem,
): Worked {
  let dilution: Dilution | null = null;
  try {
    dilution = parseDilution(ratio, [], "/ratio", units);
    const { amountL } = rate;
    if (amountL === null)
      return {
        plan: null,
        dilution,
        problem: { path: "/mixRateL", message: numberDoubt(rate.text) ?? "A number, please." },
      };
    if (plots.length === 0) return { plan: null, dilution, problem: null };
    const plan = workOutLoads({
      dilution,
      mixRate: { amountL, per },
      plots: plots.map(({ name, treatableM2, plants, mixL }) => ({
        id: name,
        areaM2: treatableM2,
        plants,
        mixL: mixL ?? null,
      })),
      tool: loadTool(tool),
      availableL,
    });
    return { plan, dilution, problem: null };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    const path = error.path.startsWith("/ratio")
      ? "/ratio"
      : error.path.startsWith("/mixRate")
        ? "/mixRateL"
        : error.path.startsWith("/plots")
          ? "/plotIds"
          : "/toolId";
    return { plan: null, dilution, problem: { path, message: sayDomain(error, speechOf(units)) } };
  }
}
