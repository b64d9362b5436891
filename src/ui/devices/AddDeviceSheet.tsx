"use client";
import { useState } from "react";
import type { DevicesView } from "@/services/devices";
import { useDevicesAct } from "../acts/devices";
import { Button } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { FormSheet } from "../kit/FormSheet";
import { SelectField, TextField } from "../kit/fields";
import { Sheet } from "../kit/Sheet";
import { useAddedUndo } from "../farm/useThing";
import { told } from "../kit/told";

/** Made in the browser and shown once: the farm keeps only what it hashes to. */
function freshToken(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(30));
  return btoa(String.fromCharCode(...bytes))
    .replace(/\+/g, "-")
    .replace(/\//g, "_");
}

const EXAMPLE = '{"readings":[{"at":"2031-06-01T06:00:00Z","quantity":"liquid","value":21.4}]}';

const Shown = ({
  name,
  token,
  onClose,
}: {
  readonly name: string;
  readonly token: string;
  readonly onClose: () => void;
}) => (
  <Sheet open onClose={onClose} title={`${name} may post`} lead="This access key is shown only once. Copy it now.">
    <p className="reading select-all break-all border-2 border-ink bg-limewash p-3 text-lg" data-token>
      {token}
    </p>
    <p className="mt-4">It posts to this farm’s address, at /api/readings, as often as it likes:</p>
    <pre className="reading mt-2 relative overflow-x-auto border border-line bg-limewash p-3 text-[0.9rem]">
      {`POST /api/readings\nAuthorization: Bearer TOKEN\n\n${EXAMPLE}`}
    </pre>
    <ul className="mt-3 list-disc pl-5 text-[0.95rem]">
      <li>Quantities: air, liquid and core in °C, ph, rain in mm of the hour, wind in m/s.</li>
      <li>The same figure posted again changes nothing; hours that come late are taken.</li>
      <li>What can’t be is kept apart, and the answer says why.</li>
    </ul>
    <Button variant="strong" className="mt-5" onClick={onClose}>
      I copied the key
    </Button>
  </Sheet>
);

/** A new station or probe: what it is called, where it hangs; then its token. */
export const AddDeviceSheet = ({ view, onClose }: { readonly view: DevicesView; readonly onClose: () => void }) => {
  const add = useDevicesAct("addDevice");
  const added = useAddedUndo("device");
  const [name, setName] = useState("");
  const [kind, setKind] = useState<"probe" | "station">("probe");
  const [vesselId, setVesselId] = useState("");
  const [token] = useState(freshToken);
  const [done, setDone] = useState(false);
  if (done) return <Shown name={name} token={token} onClose={onClose} />;
  const submit = async () => {
    const request = {
      name,
      kind,
      vesselId: kind === "station" || vesselId === "" ? null : Number(vesselId),
      token,
    };
    const answer = await add.run(request);
    if (!answer) return;
    told(`${name} added.`, added(answer.deviceId));
    setDone(true);
  };
  return (
    <FormSheet
      title="Add sensor"
      act="Add sensor and show its key"
      busy={add.busy}
      error={add.error}
      onClose={onClose}
      onSubmit={(event) => {
        event?.preventDefault();
        return submit();
      }}
    >
      <TextField
        label="Its name"
        value={name}
        maxLength={60}
        error={add.fields["/name"]}
        onChange={(event) => setName(event.target.value)}
      />
      <Choices
        label="What it is"
        value={kind}
        onChange={setKind}
        options={[
          { value: "probe", label: "a probe in a vessel" },
          { value: "station", label: "a weather station" },
        ]}
      />
      {kind === "probe" ? (
        <SelectField
          label="It hangs in"
          value={vesselId}
          error={add.fields["/vesselId"]}
          onChange={(event) => setVesselId(event.target.value)}
        >
          <option value="">choose a vessel</option>
          {view.vessels.map(({ id, name: vessel }) => (
            <option key={id} value={id}>
              {vessel}
            </option>
          ))}
        </SelectField>
      ) : null}
    </FormSheet>
  );
};
