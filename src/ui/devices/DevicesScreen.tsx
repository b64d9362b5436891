"use client";
import { scaleLinear } from "d3-scale";
import { line } from "d3-shape";
import { useState } from "react";
import { told } from "../kit/told";
import { fromBase } from "@/core/quantity/units";
import { formatNumber } from "@/formats/numbers";
import { sayAside, sayFigure } from "@/words/said";
import { sayMoment } from "@/formats/times";
import type { DevicesView, DeviceView } from "@/services/devices";
import { useDevicesAct } from "../acts/devices";
import { ChangeThing } from "../farm/ChangeThing";
import { Button } from "../kit/Button";
import { SelectField } from "../kit/fields";
import { ShedNav } from "../shed/ShedNav";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

const AddDeviceSheet = panel(() => import("./AddDeviceSheet").then((module) => module.AddDeviceSheet));
const LoggerSheet = panel(() => import("./LoggerSheet").then((module) => module.LoggerSheet));

const KINDS = { station: "weather station", probe: "probe", logger: "logger, from its files" } as const;
const WORDS = {
  air: "air",
  liquid: "liquid",
  core: "middle of the bed",
  ph: "pH",
  rain: "rain",
  wind: "wind",
} as const;
const HOUR_MS = 3_600_000;
const W = 520;
const H = 74;

/** What one device posted over the last days; a gap is a gap, not a line across it. */
const Trace = ({
  device,
  nowMs,
  units,
}: {
  readonly device: DeviceView;
  readonly nowMs: number;
  readonly units: "metric" | "us";
}) => {
  const quantity = device.series.some((point) => point.quantity === "ph")
    ? "ph"
    : device.kind === "station"
      ? "air"
      : "liquid";
  const isWarmth = quantity !== "ph";
  const unit = units === "us" ? "°F" : "°C";
  const points = device.series
    .filter((point) => point.quantity === quantity)
    .map(({ atMs, value }) => ({
      atMs,
      value: isWarmth ? fromBase({ dimension: "temperature", value }, unit).value : value,
    }));
  if (points.length < 2) return null;
  const values = points.map(({ value }) => value);
  const x = scaleLinear([nowMs - 72 * HOUR_MS, nowMs], [34, W - 6]);
  const y = scaleLinear(
    [Math.min(...values), Math.max(...values, Math.min(...values) + (isWarmth ? 2 : 0.3))],
    [H - 16, 10],
  );
  const parts = points.reduce<(typeof points)[]>((all, point) => {
    const last = all.at(-1);
    if (last && point.atMs - last.at(-1)!.atMs <= 2.5 * HOUR_MS) last.push(point);
    else all.push([point]);
    return all;
  }, []);
  const path = line<(typeof points)[number]>()
    .x(({ atMs }) => x(atMs))
    .y(({ value }) => y(value));
  return (
    <figure className="max-w-xl">
      <svg
        role="img"
        aria-label={`${device.name}, ${WORDS[quantity]} over three days`}
        viewBox={`0 0 ${W} ${H}`}
        className="block w-full"
      >
        {y.ticks(3).map((value) => (
          <g key={value}>
            <line x1={34} x2={W - 6} y1={y(value)} y2={y(value)} stroke="var(--line)" strokeDasharray="1 4" />
            <text x={30} y={y(value) + 4} textAnchor="end" className="reading" fontSize={13} fill="var(--soft)">
              {formatNumber(value, 3)}
            </text>
          </g>
        ))}
        {parts.map((part) => (
          <path
            key={part[0]!.atMs}
            d={path(part) ?? ""}
            fill="none"
            stroke={isWarmth ? "var(--rust)" : "var(--blue)"}
            strokeWidth={1.8}
          />
        ))}
      </svg>
      <figcaption className="text-[0.86rem] text-soft">
        {WORDS[quantity]}
        {isWarmth ? `, ${unit}` : ""}, three days; what is missing was not posted
      </figcaption>
    </figure>
  );
};

const DevicePart = ({ device, view }: { readonly device: DeviceView; readonly view: DevicesView }) => {
  const [moving, setMoving] = useState(false);
  const [vesselId, setVesselId] = useState(String(device.vesselId ?? ""));
  const place = useDevicesAct("placeDevice", "toast");
  const retire = useDevicesAct("retireDevice", "toast");
  const now = new Date(view.nowMs);
  const hang = async () => {
    if (await place.run({ deviceId: device.id, vesselId: vesselId === "" ? null : Number(vesselId) })) {
      told(`${device.name} is there from now on. Earlier readings stay where they were.`);
      setMoving(false);
    }
  };
  const out = async () => {
    if (await retire.run({ deviceId: device.id })) told(`${device.name} is removed; its readings stay.`);
  };
  return (
    <section aria-label={device.name} className="border-t-2 border-ink pt-3">
      <h2 className="text-xl">{device.name}</h2>
      <p className="text-soft">
        {KINDS[device.kind]}, {device.vesselName ? `in the ${inText(device.vesselName)}` : "in the air"}
        {device.retired ? "; removed" : ""}
      </p>
      <p className={device.quiet ? "font-semibold text-rust" : ""}>
        {device.lastMs === null
          ? "No reading yet."
          : `Last heard ${sayMoment(new Date(device.lastMs), now, view.farm)}${device.quiet ? ". Nothing since: check its battery and network. Until then the air’s temperature is used." : "."}`}
      </p>
      <Trace device={device} nowMs={view.nowMs} units={view.farm.units} />
      {device.setAside.length > 0 ? (
        <details className="mt-1">
          <summary className="min-h-11 cursor-pointer py-2">
            {device.setAside.length === 20 ? "The latest 20" : device.setAside.length} not used
          </summary>
          <ul className="divide-y divide-line border-y border-line text-[0.95rem]">
            {device.setAside.map((figure) => (
              <li key={`${figure.atMs}-${figure.quantity}`} className="flex flex-wrap justify-between gap-x-4 py-1.5">
                <span className="reading text-soft">{sayMoment(new Date(figure.atMs), now, view.farm)}</span>
                <span>
                  {WORDS[figure.quantity]} {sayFigure(figure, view.farm.units)}: {sayAside(figure, view.farm.units)}
                </span>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
      {device.retired || device.kind === "logger" ? null : (
        <div className="mt-1 flex flex-wrap gap-2">
          <Button variant="quiet" onClick={() => setMoving(!moving)}>
            Move sensor
          </Button>
          <ChangeThing kind="device" id={device.id} name={device.name} />
          <Button variant="quiet" onClick={() => void out()}>
            Remove sensor
          </Button>
        </div>
      )}
      {moving ? (
        <div className="mt-2 grid max-w-sm gap-3 border-l-4 border-marigold pl-3">
          <SelectField
            label="From now on it hangs"
            value={vesselId}
            onChange={(event) => setVesselId(event.target.value)}
          >
            <option value="">in the air</option>
            {view.vessels.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectField>
          <Button variant="strong" disabled={place.busy} onClick={() => void hang()} className="justify-self-start">
            Move it there
          </Button>
        </div>
      ) : null}
    </section>
  );
};

/** Stations, probes and loggers: what they post, where they hang, what of it was kept apart. */
export const DevicesScreen = ({ view }: { readonly view: DevicesView }) => {
  const [open, setOpen] = useState<"add" | "file" | null>(null);
  return (
    <div className="px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Sensors</h1>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setOpen("file")}>Import logger file</Button>
          <Button variant="strong" onClick={() => setOpen("add")}>
            Add sensor
          </Button>
        </div>
      </div>
      <ShedNav here="/shed/probes" />
      {view.devices.length === 0 ? (
        <p className="mt-4 max-w-xl border-l-4 border-marigold bg-chalk p-4">
          No sensors yet. Ready dates may be days off. Log temperatures, or add a sensor.
        </p>
      ) : null}
      <div className="mt-4 grid gap-x-10 gap-y-6 md:grid-cols-2">
        {view.devices.map((device) => (
          <DevicePart key={device.id} device={device} view={view} />
        ))}
      </div>
      {open === "add" ? <AddDeviceSheet view={view} onClose={() => setOpen(null)} /> : null}
      {open === "file" ? <LoggerSheet view={view} onClose={() => setOpen(null)} /> : null}
    </div>
  );
};
