"use client";
import { findIngredient } from "@/core/book/ingredients";
import type { PlaceKind } from "@/core/ferment/temperature/places";
import { thingFor, type FirstOption } from "@/core/choose/firstDrum";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { sayVolume, type UnitSystem } from "@/formats/amounts";
import { PLACE_WORDS, sayCommonVessel } from "@/words/said";
import { recipeContents } from "../drawings/recipeContents";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { Button } from "../kit/Button";
import { Cautions } from "../kit/Cautions";
import { SelectField, TextArea } from "../kit/fields";
import { Notice } from "../kit/Notice";
import type { FillPickProps } from "./fillPickProps";
import { Line, WantedAgain } from "./FillPickLines";
import { FirstWater } from "./FirstWater";
import type { FirstDrum, FirstVessel } from "./firstDraft";
import { inText } from "@/formats/grammar";

const DRAWN_PX = 190;

/** The vessel, filled as the answers come. */
const Drawn = ({
  vessel,
  option,
  drum,
  units,
}: {
  readonly vessel: FirstVessel;
  readonly option: FirstOption;
  readonly drum: FirstDrum;
  readonly units: UnitSystem;
}) => {
  const filledL = drum.worked?.filledL ?? 0;
  const freeL = vessel.volumeL - filledL;
  return (
    <div className="flex items-end gap-4 border-b-[3px] border-ink">
      <VesselDrawing
        kind={vessel.kind}
        volumeL={vessel.volumeL}
        diameterM={null}
        // All vessels stand as high here: it is the level that is looked at.
        pxPerM={DRAWN_PX / Math.cbrt((vessel.volumeL / 1000) * ((4 * 1.4 * 1.4) / Math.PI))}
        contents={filledL > 0 ? recipeContents(option.recipe, filledL) : null}
        label={`${vessel.name} with ${sayVolume(filledL, units)} in it`}
      />
      {filledL > 0 ? (
        <p className="pb-3">
          <span className="reading block text-lg font-semibold">{sayVolume(filledL, units)} in it</span>
          <span className="block text-[0.92rem] text-soft">
            {freeL >= 0 ? `${sayVolume(freeL, units)} headspace, for ${option.recipe.headspaceFor}` : "It overflows."}
          </span>
        </p>
      ) : null}
    </div>
  );
};

/** What lacks, each with the tap that says it is here after all. */
const Lacking = ({
  option,
  draft,
  onChange,
}: Pick<FillPickProps, "draft" | "onChange"> & { readonly option: FirstOption }) => (
  <ul aria-label="Missing" className="divide-y divide-line border-y border-line">
    {option.lacking.map((id) => (
      <li key={id} className="flex items-center justify-between gap-3 py-1.5">
        <span className="font-semibold text-rust">■ {findIngredient(id).name} is missing</span>
        <Button onClick={() => onChange({ things: [...draft.things, thingFor(id).id] })}>I have it</Button>
      </li>
    ))}
    {option.lacksAir ? (
      <li className="flex items-center justify-between gap-3 py-1.5">
        <span className="font-semibold text-rust">■ An air pump is missing</span>
        <Button onClick={() => onChange({ hasAir: true })}>I have one</Button>
      </li>
    ) : null}
  </ul>
);

/** What harms at this very work, before it is begun. */
const Safety = ({
  drum: { worked },
  option: { recipe },
}: Pick<FillPickProps, "drum"> & { readonly option: FirstOption }) => (
  <section aria-label="Safety" className="grid gap-2">
    <h3 className="text-lg">Safety</h3>
    <Cautions
      cautions={cautionsFor(recipe, {
        filledL: worked?.filledL ?? 0,
        ingredients: (worked?.lines ?? []).map(({ ingredient }) => ingredient),
      })}
    />
    <p className="text-[0.88rem] text-soft">Follow local law, your certifier and qualified electricians first.</p>
  </section>
);

/** Where it will stand decides how fast it goes; who does not say it is told what that means. */
const Standing = ({ draft, onChange }: Pick<FillPickProps, "draft" | "onChange">) => (
  <SelectField
    label="Where will it stand?"
    value={draft.place}
    hint={draft.place === "unsaid" ? "It decides how fast it ripens." : undefined}
    onChange={(event) => onChange({ place: event.target.value as PlaceKind })}
  >
    <option value="unsaid">Not sure yet</option>
    {Object.entries(PLACE_WORDS).map(([kind, words]) => (
      <option key={kind} value={kind}>
        {words}
      </option>
    ))}
  </SelectField>
);

const TRIAL_L = 30;

/** The vessel as it fills, each amount, the water, and the safety notes of this very work. */
export const FillPick = (props: FillPickProps) => {
  const { draft, drum, units, fields, onChange } = props;
  const { vessel, option, worked } = drum;
  if (!vessel || !option || !(vessel.volumeL > 0))
    return (
      <section aria-labelledby="fill-it" className="grid content-start gap-3">
        <h2 id="fill-it" className="text-xl">
          Fill it
        </h2>
        <p className="text-soft">Pick a vessel and what to make. The amounts for it appear here.</p>
      </section>
    );
  const { recipe } = option;
  const basisKey = worked?.lines.find(({ ingredient, part }) => ingredient === recipe.basis && part === "mix")?.key;
  return (
    <section aria-labelledby="fill-it" className="grid content-start gap-4">
      <h2 id="fill-it" className="text-xl">
        Fill it
      </h2>
      <Drawn vessel={vessel} option={option} drum={drum} units={units} />
      {option.lacking.length > 0 || option.lacksAir ? (
        <Lacking option={option} draft={draft} onChange={onChange} />
      ) : null}
      {worked?.scaled ? (
        <ul aria-label="What goes in" className="divide-y divide-line border-y border-line">
          {worked.lines.map((line, index) => (
            <Line key={line.key} line={line} index={index} isBasis={line.key === basisKey} {...props} />
          ))}
          {worked.later.map((line) => (
            <li key={`${line.ingredient}/${line.onDay}`} className="py-2 text-soft">
              On day {line.onDay}: {inText(findIngredient(line.ingredient).name)}, {line.role}
            </li>
          ))}
        </ul>
      ) : draft.wanted.trim() !== "" ? (
        <WantedAgain {...props} />
      ) : worked?.problem ? (
        <Notice tone="error" title={worked.problem}>
          {null}
        </Notice>
      ) : null}
      <Safety drum={drum} option={option} />
      {worked?.overBrim ? (
        <Notice tone="error" title="It will overflow.">
          Use less, or pick a larger vessel.
        </Notice>
      ) : null}
      {drum.waterL > 0 ? <FirstWater {...props} /> : null}
      <Standing draft={draft} onChange={onChange} />
      {vessel.volumeL > TRIAL_L && recipe.family !== "preparation" ? (
        <p className="text-[0.92rem] text-soft">
          First time? A {inText(sayCommonVessel("bucket"))} teaches you the smell, and costs less if it fails.
        </p>
      ) : null}
      {fields["/fill/overrideReason"] || draft.reason !== "" ? (
        <TextArea
          label="Reason for using it anyway"
          value={draft.reason}
          onChange={(event) => onChange({ reason: event.target.value })}
          error={draft.reason.trim() === "" ? fields["/fill/overrideReason"] : undefined}
        />
      ) : null}
    </section>
  );
};
