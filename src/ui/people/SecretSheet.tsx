"use client";
import { useState, type FormEvent } from "react";
import { PIN_LEAST, PIN_MOST } from "@/core/people/roles";
import { useFarmAct } from "../acts/farm";
import { TextField } from "../kit/fields";
import { FormSheet } from "../kit/FormSheet";
import { told } from "../kit/told";
import { Passphrase } from "./Passphrase";

/** Another passphrase or PIN; whoever sets it says the passphrase that holds now. */
export const SecretSheet = ({
  kind,
  onClose,
}: {
  readonly kind: "passphrase" | "pin";
  readonly onClose: () => void;
}) => {
  const passphraseAct = useFarmAct("setPassphrase");
  const pinAct = useFarmAct("setPin");
  const act = kind === "pin" ? pinAct : passphraseAct;
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    const done =
      kind === "pin"
        ? await pinAct.run({ current, pin: next })
        : await passphraseAct.run({ current, passphrase: next });
    if (!done) return;
    told(kind === "pin" ? "Your PIN is set." : "Your passphrase is changed. Other devices are signed out.");
    onClose();
  };
  return (
    <FormSheet
      title={kind === "pin" ? "Your PIN" : "Your passphrase"}
      act={kind === "pin" ? "Set PIN" : "Change passphrase"}
      busy={act.busy}
      error={act.error}
      onSubmit={submit}
      onClose={onClose}
    >
      <Passphrase label="Passphrase now" value={current} onChange={setCurrent} error={act.fields["/current"]} />
      {kind === "pin" ? (
        <TextField
          label="New PIN"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          maxLength={PIN_MOST}
          value={next}
          onChange={(event) => setNext(event.target.value.replace(/\D/g, ""))}
          hint={`${PIN_LEAST} to ${PIN_MOST} numbers. It opens shared phones, nothing else.`}
          error={act.fields["/pin"]}
        />
      ) : (
        <Passphrase isNew value={next} onChange={setNext} error={act.fields["/passphrase"]} />
      )}
    </FormSheet>
  );
};
