import { NUTRIENT_IDS, NUTRIENTS, type Nutrient } from "@/core/book/composition";
import { findIngredient } from "@/core/book/ingredients";
import { mixContent, soilLoad, type BatchContent } from "@/core/recipe/composition";
import type { Range } from "@/core/book/range";
import { inContentUnit, sayContentUnit, sayDilution, type UnitSystem } from "@/formats/amounts";
import { sayMixRate } from "@/formats/fieldUnits";
import { formatNumber } from "@/formats/numbers";
import { inText } from "@/formats/grammar";

/** Two digits are more than such a figure knows. */
const say = (value: number) => (value < 0.0005 ? "0" : formatNumber(value, 2));
const OZ_PER_100_FT2_OF_G_PER_M2 = 9.290304 / 28.349523125;
const span = ({ low, high }: Range, units: UnitSystem) =>
  Math.abs(high - low) < 1e-9 ? "" : `${say(inContentUnit(low, units))} to ${say(inContentUnit(high, units))}`;

interface ContentTableProps {
  readonly content: BatchContent;
  /** What it goes on at, for the mix beside it; left out where it goes on as it is. */
  readonly partsWater: number;
  readonly useName: string;
  readonly mixLPerM2: number | null;
  readonly units: UnitSystem;
}

const Row = ({
  nutrient,
  content,
  mix,
  units,
}: {
  nutrient: Nutrient;
  content: BatchContent;
  mix: Record<Nutrient, Range>;
  units: UnitSystem;
}) => (
  <tr className="border-b border-line/70">
    <th scope="row" className="py-1 text-left font-semibold">
      {NUTRIENTS[nutrient]}
      {content.measured.includes(nutrient) ? <span className="font-normal text-soft"> measured</span> : null}
    </th>
    <td className="reading py-1 pl-3 text-right font-semibold">
      {say(inContentUnit(content.gPerL[nutrient].default, units))}
    </td>
    <td className="reading py-1 pl-3 text-right text-soft">{span(content.gPerL[nutrient], units)}</td>
    <td className="reading py-1 pl-3 text-right">{say(mix[nutrient].default * 1000)}</td>
  </tr>
);

/** What is in a litre, as a span; what of it is in the mix; and what of it stays in the ground. */
export const ContentTable = ({ content, partsWater, useName, mixLPerM2, units }: ContentTableProps) => {
  /** What lies on a bed afterwards, of grams on a square metre. */
  const onBed = (gPerM2: number) =>
    units === "us" ? `${say(gPerM2 * OZ_PER_100_FT2_OF_G_PER_M2)} oz` : `${say(gPerM2)} g`;
  const mix = mixContent(content, partsWater);
  const load = mixLPerM2 === null ? null : soilLoad(content, partsWater, mixLPerM2);
  return (
    <div>
      <table className="w-full">
        <caption className="sr-only">Nutrients</caption>
        <thead>
          <tr className="border-b-2 border-ink text-[0.86rem] text-soft">
            <th scope="col" className="text-left font-normal">
              of
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              {sayContentUnit(units)}, usual
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              span
            </th>
            <th scope="col" className="pl-3 text-right font-normal">
              {units === "us" ? "ppm" : "mg/L"} of the mix
            </th>
          </tr>
        </thead>
        <tbody>
          {NUTRIENT_IDS.map((nutrient) => (
            <Row key={nutrient} nutrient={nutrient} content={content} mix={mix.gPerL} units={units} />
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[0.88rem] text-soft">
        The mix is {sayDilution(partsWater)}, {inText(useName)}. Worked out from ordinary analyses and how much such a
        process draws out; a laboratory’s figure beats it.
        {content.unknown.length > 0
          ? ` No figures for ${content.unknown.map((id) => inText(findIngredient(id).name)).join(", ")}: left out.`
          : ""}
      </p>
      {load ? (
        <p className="mt-1">
          One round at {sayMixRate(mixLPerM2!, "m2", units)} leaves{" "}
          <span className="reading font-semibold">{onBed(load.saltGPerM2.default)}</span> of salt,{" "}
          <span className="reading font-semibold">{onBed(load.sugarGPerM2.default)}</span> of sugar and{" "}
          <span className="reading font-semibold">{onBed(load.acidGPerM2.default)}</span> of acid on{" "}
          {units === "us" ? "100 ft²" : "a square metre"}.
        </p>
      ) : null}
    </div>
  );
};
