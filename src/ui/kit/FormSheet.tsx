"use client";
import type { FormEvent, ReactNode } from "react";
import type { ActError } from "@/contracts/answer";
import { Button } from "./Button";
import { Refusal } from "./Refusal";
import { Sheet } from "./Sheet";

interface FormSheetProps {
  readonly title: string;
  readonly act: string;
  /** Does the act and stays open for the next one. */
  readonly another?: (() => void) | undefined;
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly onSubmit: (event?: FormEvent) => Promise<void>;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A panel that is one small form: its fields, and at the foot its one act with what was refused. */
export const FormSheet = ({ title, act, another, busy, error, onSubmit, onClose, children }: FormSheetProps) => (
  <Sheet
    open
    onClose={onClose}
    title={title}
    foot={
      <>
        <Refusal error={error} />
        <div className="flex gap-2">
          {another ? (
            <Button disabled={busy} onClick={another}>
              Add, and another
            </Button>
          ) : null}
          <Button variant="strong" wide disabled={busy} onClick={() => void onSubmit()}>
            {act}
          </Button>
        </div>
      </>
    }
  >
    <form onSubmit={(event) => void onSubmit(event)} className="grid gap-4" noValidate>
      {children}
    </form>
  </Sheet>
);
