"use client";
import type { ReactNode } from "react";
import type { ActError } from "@/contracts/answer";
import type { ShedStore } from "@/services/shed";
import { Button } from "../../kit/Button";
import { Notice } from "../../kit/Notice";

/** What every act on a store is given. */
export interface StoreActProps {
  readonly store: ShedStore;
  readonly onDone: () => void;
}

/** What happens to a store, as a small form in its panel: what is wrong on top, the act at its foot. */
export const StoreForm = ({
  busy,
  error,
  act,
  onSubmit,
  children,
}: {
  readonly busy: boolean;
  readonly error: ActError | null;
  readonly act: string;
  readonly onSubmit: () => Promise<void>;
  readonly children: ReactNode;
}) => (
  <form
    onSubmit={(event) => {
      event.preventDefault();
      void onSubmit();
    }}
    className="grid gap-3"
  >
    {error ? (
      <Notice tone="error" title={error.message}>
        {null}
      </Notice>
    ) : null}
    {children}
    <Button type="submit" variant="strong" disabled={busy}>
      {act}
    </Button>
  </form>
);
