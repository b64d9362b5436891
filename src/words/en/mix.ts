import type { InjectorChain } from "@/core/apply/chain";
import type { MixEstimate, MixWarning } from "@/core/apply/mixEstimate";
import { formatNumber } from "@/formats/numbers";
import type { Speech } from "../speech";

const span = (low: number, high: number, digits: number) => {
  const [from, to] = [formatNumber(low, digits), formatNumber(high, digits)];
  return from === to ? from : `${from} to ${to}`;
};

/** What a mix is about, labelled as an estimate. */
export const sayEstimate = ({ ph, ecMsPerCm }: MixEstimate): string =>
  `An estimate, not a reading: the mix has about pH ${formatNumber(ph.default, 2)} (${span(ph.low, ph.high, 2)}) and salts of about ${formatNumber(ecMsPerCm.default, 2)} mS/cm (${span(ecMsPerCm.low, ecMsPerCm.high, 2)}).`;

/** How two liquids are blended before they are dosed. @param each what goes in of each, L @example "Blend first: 115 mL of Nettle extract with 230 mL of Serum, stirred" */
export const sayBlendFirst = (
  each: readonly { readonly label: string; readonly litres: number }[],
  say: Speech,
): string =>
  `Blend first: ${each.map(({ label, litres }) => `${say.volume(litres)} of ${label}`).join(" with ")}, stirred`;

/** What an estimate warns of. */
export function sayMixWarning(warning: MixWarning): string {
  switch (warning.code) {
    case "sour-mix":
      return `By that estimate it is sour enough to mark leaves and roots (pH ${formatNumber(warning.ph, 2)}). Read it with a strip before it goes on, or go weaker.`;
    case "alkaline-mix":
      return `By that estimate it is caustic (pH ${formatNumber(warning.ph, 2)}). Read it with a strip before it goes on, or go weaker.`;
    case "salty-mix":
      return `By that estimate it holds more salts (${formatNumber(warning.ecMsPerCm, 2)} mS/cm) than tender plants take (${formatNumber(warning.limitMsPerCm, 2)}). Go weaker, or water before and after.`;
  }
}

/** How a dose is reached through an injector, step by step. */
export const sayChain = ({ tankPartsWater, injectorPartsWater }: InjectorChain): string =>
  `${
    tankPartsWater < 0.005
      ? "Into the tank as it is"
      : `In the tank 1 part with ${formatNumber(tankPartsWater, 3)} of water`
  }; the injector adds ${formatNumber(injectorPartsWater, 3)} parts of water to each from the tank: 1:${formatNumber((1 + tankPartsWater) * (1 + injectorPartsWater) - 1, 4)} in all.`;
