"use client";
import type { FarmSettings, ZonePlace } from "@/services/farm";
import { parseNumber } from "@/formats/numbers";
import { useFarmAct } from "../acts/farm";
import { undoOffer } from "../acts/undo";
import { Button } from "../kit/Button";
import { NumberField, TextField } from "../kit/fields";
import { Link } from "../kit/Link";
import { Notice } from "../kit/Notice";
import { Refusal } from "../kit/Refusal";
import { told } from "../kit/told";
import { useDraft } from "../kit/useDraft";
import { warmAndCold } from "@/core/weather/climate";
import { ClimateFields, CountingFields, PositionFields } from "../setup/FarmFields";
import { askedFarm, typedDegrees, typedWarmth, weatherIn, type FarmDraft } from "../setup/farmDraft";
import { FarmNav } from "./FarmNav";

interface Typed extends FarmDraft {
  readonly name: string;
  readonly labour: string;
  readonly power: string;
}

const MINOR = 100;

function typedOf(farm: FarmSettings): Typed {
  const { warmAfternoonC, coldNightC } = warmAndCold({ meanC: farm.climateMeanC, swingC: farm.climateSwingC });
  return {
    name: farm.name,
    units: farm.units,
    currency: farm.currency,
    timeZone: farm.timeZone,
    latitude: typedDegrees(farm.latitudeDeg),
    longitude: typedDegrees(farm.longitudeDeg),
    warmAfternoon: typedWarmth(warmAfternoonC, farm.units),
    coldNight: typedWarmth(coldNightC, farm.units),
    labour: String(farm.labourMinorPerH / MINOR),
    power: String(farm.powerMinorPerKWh / MINOR),
  };
}

/** Of all settings those that were typed anew: nothing is rounded that nobody touched. */
function changesOf(typed: Typed, was: Typed) {
  const asked = askedFarm(typed);
  const differs = (...names: (keyof Typed)[]) => names.some((name) => typed[name] !== was[name]);
  const climate = differs("warmAfternoon", "coldNight");
  return {
    ...(differs("name") ? { name: typed.name } : {}),
    ...(differs("units") ? { units: asked.units } : {}),
    ...(differs("currency") ? { currency: asked.currency } : {}),
    ...(differs("timeZone") ? { timeZone: asked.timeZone } : {}),
    ...(differs("latitude") ? { latitudeDeg: asked.latitudeDeg } : {}),
    ...(differs("longitude") ? { longitudeDeg: asked.longitudeDeg } : {}),
    ...(climate ? { climateMeanC: asked.climateMeanC, climateSwingC: asked.climateSwingC } : {}),
    ...(differs("labour") ? { labourPerH: parseNumber(typed.labour) ?? NaN } : {}),
    ...(differs("power") ? { powerPerKWh: parseNumber(typed.power) ?? NaN } : {}),
  };
}

function useSettings(farm: FarmSettings) {
  const act = useFarmAct("changeFarm");
  const { draft, keep, drop } = useDraft<Partial<Typed>>("farm-settings");
  const was = typedOf(farm);
  const typed: Typed = { ...was, ...draft?.value };
  // A climate that nobody touched stands in the units that are chosen.
  const shownWas =
    typed.units === farm.units ? was : { ...was, ...typedOf({ ...farm, units: typed.units }), units: farm.units };
  const change = (more: Partial<Typed>) => {
    const inUnits = more.units ? weatherIn(more.units, typed, draft?.value ?? {}) : {};
    keep({ ...draft?.value, ...inUnits, ...more });
  };
  const shown: Typed = { ...shownWas, ...draft?.value };
  const save = async () => {
    const changes = changesOf(shown, shownWas);
    if ((await act.run(changes)) === null) return;
    drop();
    const { labourMinorPerH, powerMinorPerKWh, ...kept } = farm;
    const before = { ...kept, labourPerH: labourMinorPerH / MINOR, powerPerKWh: powerMinorPerKWh / MINOR };
    const names = Object.keys(changes) as (keyof typeof changes)[];
    const back = Object.fromEntries(names.map((name) => [name, before[name]]));
    told(
      "Farm settings saved.",
      undoOffer(() => act.run(back)),
    );
  };
  return { act, shown, change, save, drop, isKept: draft !== null };
}

/** What a new clock means for what is written already. */
const NewZone = () => (
  <Notice tone="caution" title="The clock of past days changes too.">
    Entries keep their moment. They are shown by the new clock, so some may move to the day before or after.
  </Notice>
);

/** The farm's settings: all that was asked when it was set up, and what work and power cost. */
export const FarmScreen = ({ farm, zones }: { readonly farm: FarmSettings; readonly zones: readonly ZonePlace[] }) => {
  const { act, shown, change, save, drop, isKept } = useSettings(farm);
  const { fields } = act;
  return (
    <div className="px-4 py-5 md:px-8">
      <h1 className="text-2xl">Farm settings</h1>
      <FarmNav here="/farm" />
      <div className="mt-5 grid max-w-5xl gap-x-10 gap-y-5 md:grid-cols-2">
        <div className="grid content-start gap-4">
          <TextField
            label="Name of the farm"
            maxLength={60}
            value={shown.name}
            onChange={(event) => change({ name: event.target.value })}
            error={fields["/name"]}
          />
          <CountingFields draft={shown} zones={zones} fields={fields} onChange={change} />
          {shown.timeZone === farm.timeZone ? null : <NewZone />}
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label={`Cost of 1 hour of work (${shown.currency})`}
              value={shown.labour}
              onChange={(event) => change({ labour: event.target.value })}
              error={fields["/labourPerH"]}
            />
            <NumberField
              label={`Cost of 1 kWh (${shown.currency})`}
              value={shown.power}
              onChange={(event) => change({ power: event.target.value })}
              error={fields["/powerPerKWh"]}
            />
          </div>
          <p className="text-[0.9rem] text-soft">
            Changing the currency changes its sign, not the numbers. New prices of work and power count for all batches.
          </p>
        </div>
        <div className="grid content-start gap-4">
          <PositionFields draft={shown} fields={fields} onChange={change} />
          <ClimateFields draft={shown} fields={fields} onChange={change} />
          <ul className="grid gap-1 border-t border-line pt-3">
            <li>
              <Link href="/book" className="thumb underline decoration-line decoration-2 underline-offset-4">
                Recipes: cautious, or your own choice for each method
              </Link>
            </li>
            <li>
              <Link href="/field" className="thumb underline decoration-line decoration-2 underline-offset-4">
                Days before harvest: in the field, the button of that name
              </Link>
            </li>
            <li>
              <Link href="/shed" className="thumb underline decoration-line decoration-2 underline-offset-4">
                Own measures: weigh a scoop where an ingredient stands
              </Link>
            </li>
          </ul>
        </div>
      </div>
      <div className="sticky bottom-0 z-10 mt-6 max-w-5xl border-t border-line bg-limewash py-3 max-md:bottom-14">
        <Refusal error={act.error} />
        <div className="flex gap-2">
          <Button variant="strong" className="min-w-44" disabled={act.busy || !isKept} onClick={() => void save()}>
            Save settings
          </Button>
          {isKept ? (
            <Button variant="quiet" onClick={drop}>
              Discard changes
            </Button>
          ) : null}
        </div>
      </div>
    </div>
  );
};
