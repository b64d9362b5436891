"use client";
import { LocateFixed } from "lucide-react";
import { useMemo, useState } from "react";
import type { FieldErrors } from "@/contracts/fieldErrors";
import type { ZonePlace } from "@/services/farm";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { Combobox } from "../kit/Combobox";
import { NumberField } from "../kit/fields";
import { ClimateYear } from "./ClimateYear";
import { climateOf, isTurned, typedDegrees, type FarmDraft } from "./farmDraft";
import { currencyOptions, zoneOptions } from "./farmLists";

interface FarmFieldsProps {
  readonly draft: FarmDraft;
  readonly zones: readonly ZonePlace[];
  readonly fields: FieldErrors;
  readonly onChange: (change: Partial<FarmDraft>) => void;
}

const MOST_WORD = 16;
/** A currency without a code: a word of the farm's own. */
const ownCurrency = (typed: string): string | null => (typed.length <= MOST_WORD ? typed : null);

/** Units, money and clock. */
export const CountingFields = ({ draft, zones, fields, onChange }: FarmFieldsProps) => {
  const currencies = useMemo(() => currencyOptions(), []);
  const zoneList = useMemo(() => zoneOptions(zones), [zones]);
  return (
    <>
      <Choices
        label="Units"
        value={draft.units}
        onChange={(units) => onChange({ units })}
        options={[
          { value: "metric", label: "Litres and kilograms, °C" },
          { value: "us", label: "US gallons and pounds, °F" },
        ]}
      />
      <Combobox
        label="Currency"
        value={draft.currency}
        options={currencies}
        onChange={(currency) => onChange({ currency })}
        own={ownCurrency}
        error={fields["/currency"]}
      />
      <Combobox
        label="Time zone"
        value={draft.timeZone}
        options={zoneList}
        onChange={(timeZone) => {
          const place = zones.find(({ zone }) => zone === timeZone);
          onChange({
            timeZone,
            ...(place
              ? { latitude: typedDegrees(place.latitudeDeg), longitude: typedDegrees(place.longitudeDeg) }
              : {}),
          });
        }}
        error={fields["/timeZone"]}
      />
    </>
  );
};

const LOCATE_LIMIT_MS = 15_000;
const NO_PLACE = "This device does not tell its position. Type it, or leave the guess.";

/** Where the farm lies, to the nearest minute of the sun: by one tap, or typed. */
export const PositionFields = ({ draft, fields, onChange }: Omit<FarmFieldsProps, "zones">) => {
  const [said, setSaid] = useState<string | null>(null);
  const locate = () => {
    if (!("geolocation" in navigator)) {
      setSaid(NO_PLACE);
      return;
    }
    setSaid("Asking the device…");
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => {
        onChange({ latitude: typedDegrees(coords.latitude), longitude: typedDegrees(coords.longitude) });
        setSaid("Position taken from this device.");
      },
      () => setSaid(NO_PLACE),
      { timeout: LOCATE_LIMIT_MS, maximumAge: 3_600_000 },
    );
  };
  return (
    <fieldset>
      <legend className="mb-1 text-[0.92rem] font-semibold">Position, for sunrise and sunset</legend>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Latitude"
          unit="° north; south −"
          value={draft.latitude}
          onChange={(event) => onChange({ latitude: event.target.value })}
          error={fields["/latitudeDeg"]}
        />
        <NumberField
          label="Longitude"
          unit="° east; west −"
          value={draft.longitude}
          onChange={(event) => onChange({ longitude: event.target.value })}
          error={fields["/longitudeDeg"]}
        />
      </div>
      <Button className="mt-2" onClick={locate}>
        <LocateFixed aria-hidden className="size-5" />
        Use this device’s position
      </Button>
      <p role="status" className="mt-1 text-[0.9rem] text-soft">
        {said ?? ""}
      </p>
    </fieldset>
  );
};

/** The climate by two plain questions, drawn as a year. */
export const ClimateFields = ({ draft, fields, onChange }: Omit<FarmFieldsProps, "zones">) => {
  const degree = draft.units === "us" ? "°F" : "°C";
  const climate = climateOf(draft);
  return (
    <fieldset>
      <legend className="mb-1 text-[0.92rem] font-semibold">Climate</legend>
      <div className="grid grid-cols-2 items-end gap-3">
        <NumberField
          label="A warm afternoon in the warmest month"
          unit={degree}
          value={draft.warmAfternoon}
          onChange={(event) => onChange({ warmAfternoon: event.target.value })}
          error={fields["/climateMeanC"]}
        />
        <NumberField
          label="A night in the coldest month"
          unit={degree}
          value={draft.coldNight}
          onChange={(event) => onChange({ coldNight: event.target.value })}
          error={isTurned(draft) ? "This is warmer than the afternoon. Swap the two." : fields["/climateSwingC"]}
        />
      </div>
      {climate && !isTurned(draft) ? (
        <div className="mt-2">
          <ClimateYear climate={climate} units={draft.units} />
        </div>
      ) : null}
      <p className="text-[0.9rem] text-soft">
        Forecasts use this year until a weather station is connected. Check rain and wind yourself.
      </p>
    </fieldset>
  );
};
