"use client";
import { useState } from "react";
import { PASSPHRASE_LEAST, PASSPHRASE_MOST } from "@/core/people/roles";
import { Button } from "../kit/Button";
import { TextField } from "../kit/fields";

const PASSPHRASE_HINT = `At least ${PASSPHRASE_LEAST} letters: three or four words that you remember.`;

/** A passphrase as it is typed, hidden until somebody asks to see it. */
export const Passphrase = ({
  value,
  onChange,
  error,
  isNew = false,
  label = isNew ? "New passphrase" : "Passphrase",
}: {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly error?: string | undefined;
  readonly isNew?: boolean;
  readonly label?: string;
}) => {
  const [shown, setShown] = useState(false);
  return (
    <div>
      <TextField
        label={label}
        type={shown ? "text" : "password"}
        autoComplete={isNew ? "new-password" : "current-password"}
        maxLength={PASSPHRASE_MOST}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        hint={isNew ? PASSPHRASE_HINT : undefined}
        error={error}
      />
      <Button variant="quiet" className="-ml-3" aria-pressed={shown} onClick={() => setShown(!shown)}>
        {shown ? "Hide it" : "Show it"}
      </Button>
    </div>
  );
};
