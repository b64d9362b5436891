import { haulInCans, isPastCarrying } from "@/core/apply/haul";
import type { Recipe } from "@/core/book/recipe";
import { findUse, type UseId } from "@/core/book/uses";
import type { ForLand } from "@/core/choose/forLand";
import { sayArea, sayDilution, sayMass, sayVolume } from "@/formats/amounts";
import { valueInField } from "@/formats/fieldUnits";
import { formatNumber, plural } from "@/formats/numbers";
import type { BookView } from "@/services/book";
import { Choices } from "../kit/Choices";
import { SelectField, TickField } from "../kit/fields";
import { Notice } from "../kit/Notice";
import { SizeField } from "../measures/SizeField";
import type { ScaleDraft } from "./scaleDraft";

/** What carries it where the farm has no can of its own yet, L. */
const USUAL_CAN_L = 10;

type Chosen = Pick<ScaleDraft, "land" | "often" | "useId">;

interface LandChoiceProps {
  readonly view: BookView;
  readonly recipe: Recipe;
  readonly draft: Chosen;
  readonly bedIds: readonly number[];
  /** How far the land lies from where cans are filled, m, as typed. */
  readonly distance: string;
  readonly land: ForLand | null;
  readonly error: string | undefined;
  readonly onChange: (change: Partial<Chosen>) => void;
  readonly onBeds: (ids: readonly number[]) => void;
  readonly onDistance: (typed: string) => void;
}

/** What the land takes, how often it can get it before the batch is over, and what carrying that means. */
const Answer = ({ view, land, distance }: Pick<LandChoiceProps, "view" | "distance"> & { readonly land: ForLand }) => {
  const { units } = view.farm;
  const canL = view.canL ?? USUAL_CAN_L;
  const haul = haulInCans(land.mixEachL, canL, valueInField(distance, "m", units) || undefined);
  return (
    <>
      <p role="status">
        {land.rounds > 1 ? `${land.rounds} times, every ${land.everyD} days: ` : ""}
        {sayVolume(land.mixL, units)} of mix at {sayDilution(land.partsWater)} take{" "}
        <span className="font-semibold">{sayVolume(land.concentrateL, units)}</span> of it. Each time{" "}
        {plural(haul.trips, "can")} of {sayVolume(canL, units)}, about {formatNumber(haul.hours, 2)} h and{" "}
        {sayMass(haul.massKg, units)} carried.
      </p>
      {isPastCarrying(haul) ? (
        <Notice tone="caution" title="More than one person carries in a day">
          Compost made in place, ripe compost spread 1 cm thick, or a cover crop may do as much without hauling; or lay
          a hose from a tote with a pump.
        </Notice>
      ) : null}
    </>
  );
};

/** The land that a batch is for: beds of the field plan, or so much typed; once, or as often as the batch keeps. */
export const LandChoice = ({
  view,
  recipe,
  draft,
  bedIds,
  distance,
  land,
  error,
  onChange,
  onBeds,
  onDistance,
}: LandChoiceProps) => {
  const { units } = view.farm;
  return (
    <>
      {view.beds.length > 0 ? (
        <fieldset>
          <legend className="text-[0.92rem] font-semibold">Beds</legend>
          <div className="max-h-56 overflow-y-auto">
            {view.beds.map(({ id, name, crop, areaM2 }) => (
              <TickField
                key={id}
                label={`${name}${crop ? `, ${crop}` : ""}, ${sayArea(areaM2, units)}`}
                checked={bedIds.includes(id)}
                onChange={(event) =>
                  onBeds(event.target.checked ? [...bedIds, id] : bedIds.filter((other) => other !== id))
                }
              />
            ))}
          </div>
        </fieldset>
      ) : null}
      <SizeField
        label={view.beds.length > 0 ? "Other land" : "Land"}
        measure="m2"
        typed={draft.land}
        value={draft.land}
        onChange={(event) => onChange({ land: event.target.value })}
        error={draft.land === "" && bedIds.length === 0 ? undefined : error}
      />
      <SelectField
        label="Used as"
        value={draft.useId ?? ""}
        onChange={(event) => onChange({ useId: event.target.value as UseId })}
      >
        {recipe.uses
          .filter(({ use }) => findUse(use).mixLPerM2 !== null)
          .map(({ use }) => (
            <option key={use} value={use}>
              {findUse(use).name}
            </option>
          ))}
      </SelectField>
      {land && land.roundsInTime > 1 ? (
        <Choices<ScaleDraft["often"]>
          label="How often"
          value={draft.often}
          onChange={(often) => onChange({ often })}
          options={[
            { value: "once", label: "once" },
            { value: "in-time", label: `${land.roundsInTime} times, until it is over` },
          ]}
        />
      ) : null}
      <SizeField
        label="From where cans are filled"
        measure="m"
        typed={distance}
        placeholder="nearby"
        value={distance}
        onChange={(event) => onDistance(event.target.value)}
      />
      {land ? <Answer view={view} land={land} distance={distance} /> : null}
    </>
  );
};
