"use client";
import type { Recipe } from "@/core/book/recipe";
import { equipmentGaps } from "@/core/equipment/needs";
import { heaterNeed } from "@/core/recipe/conditions";
import type { ScaledLine } from "@/core/recipe/scale";
import { liftablePortions, wetSackKg } from "@/core/recipe/split";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { thinStarters } from "@/core/recipe/starter";
import { sayMass, sayTemperature, sayVolume } from "@/formats/amounts";
import { HEAT_SAFELY, sayThinStarter } from "@/words/said";
import { formatNumber } from "@/formats/numbers";
import type { MakingView } from "@/services/fill";
import type { Vessel } from "@/services/types";
import { Cautions } from "../kit/Cautions";
import { Notice } from "../kit/Notice";
import { useMeasures } from "../measures/measuresContext";
import type { LineDraft } from "./workOutFill";
import { BookText } from "../kit/BookText";
import { inText } from "@/formats/grammar";

/** What a first try is made in, L. */
const TRIAL_L = 30;

interface FillNoticesProps {
  readonly recipe: Recipe;
  readonly making: MakingView;
  readonly vessel: Vessel;
  readonly lines: readonly LineDraft[];
  readonly filledL: number;
  /** The liquid's temperature as read, °C; null or NaN where none is. */
  readonly statedC: number | null;
}

/** A degree or two is no matter. */
const NO_MATTER_C = 2;
/** Colder, it is ice. */
const COLDEST_C = -5;

/** Whether liquid that was read is too cold for a recipe to start in. */
export const isColdFor = (recipe: Recipe, statedC: number | null): boolean =>
  statedC !== null && statedC < recipe.comfortC.low - NO_MATTER_C;

/** What speaks for thinking again before this fill: the first of its kind, too cold, too thin a start, tools that lack. */
export const FillNotices = ({ recipe, making, vessel, lines, filledL, statedC }: FillNoticesProps) => {
  const { units } = useMeasures();
  const thin = thinStarters(
    recipe,
    lines.map(({ ingredient, slot, used }) => ({ ingredient, slot, amount: used ?? 0 })),
  );
  const heater =
    isColdFor(recipe, statedC) && filledL > 0 && statedC! > COLDEST_C
      ? heaterNeed(vessel.volumeL, statedC!, recipe.comfortC.low)
      : null;
  const gaps =
    making.equipment.length === 0
      ? []
      : equipmentGaps(recipe, filledL, making.equipment, making.today, { airC: null, hasOwnAir: vessel.airW > 0 });
  return (
    <>
      {making.made.includes(recipe.id) || recipe.family === "preparation" || vessel.volumeL <= TRIAL_L ? null : (
        <Notice tone="plain" title="First time on this farm">
          {`Nobody on this farm has strained a ${inText(recipe.shortName)} yet. Try it in ${sayVolume(TRIAL_L, units, 1)} or less, and step up once one came off well.`}
        </Notice>
      )}
      {heater ? (
        <Notice tone="caution" title="Too cold">
          {`It likes ${sayTemperature(recipe.comfortC.low, units)} or warmer. ${formatNumber(heater.warmW, 2)} W bring so much up in twelve hours; read it again then, and start the clock. ${HEAT_SAFELY}`}
        </Notice>
      ) : null}
      {thin.map((one) => (
        <Notice key={one.ingredient} tone="caution" title="Too little starter">
          {`${sayThinStarter(one)} Put in more of it, or less water.`}
        </Notice>
      ))}
      {gaps.length > 0 ? (
        <Notice tone="caution" title="Before you begin">
          <ul>
            {gaps.map(({ say }) => (
              <li key={say}>{say}</li>
            ))}
          </ul>
        </Notice>
      ) : null}
    </>
  );
};

/** The cautions of the work, where it is done. */
export const FillCautions = ({
  recipe,
  lines,
  filledL,
}: {
  readonly recipe: Recipe;
  readonly lines: readonly ScaledLine[];
  readonly filledL: number;
}) => {
  const { units } = useMeasures();
  const sackKg = wetSackKg({ recipe }, lines);
  return (
    <section aria-label="Safety" className="grid gap-2">
      <h3 className="text-lg">Mind</h3>
      {sackKg > 25 ? (
        <Notice tone="caution">
          {`The sack comes out at about ${sayMass(sackKg, units, 2)} wet: two people or a pulley, or ${liftablePortions(sackKg, null).count} sacks.`}
        </Notice>
      ) : null}
      <Cautions cautions={cautionsFor(recipe, { filledL, ingredients: lines.map(({ ingredient }) => ingredient) })} />
      <p className="text-[0.88rem] text-soft">
        Follow local law, your certifier and qualified electricians first. <BookText>{recipe.sureness}</BookText>
      </p>
    </section>
  );
};
