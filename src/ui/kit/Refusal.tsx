"use client";
import { useEffect, useRef, type ReactNode } from "react";
import type { ActError } from "@/contracts/answer";
import { Button } from "./Button";
import { Notice } from "./Notice";

/** The first field that is complained of, on the sheet that the refusal stands on. */
function goToField(from: HTMLElement | null): void {
  const field = (from?.closest("[role=dialog], main") ?? document).querySelector<HTMLElement>("[aria-invalid=true]");
  field?.scrollIntoView({ block: "center" });
  field?.focus({ preventScroll: true });
}

/** What the server would not take, said beside the button that was pressed; it takes the focus, and leads to its field. */
export const Refusal = ({
  error,
  children = null,
}: {
  readonly error: ActError | null;
  readonly children?: ReactNode;
}) => {
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (error) box.current?.focus();
  }, [error]);
  return error ? (
    <div ref={box} tabIndex={-1} className="mb-2 outline-offset-2">
      <Notice tone="error" title={error.message}>
        {children}
        {Object.keys(error.fields ?? {}).length > 0 ? (
          <Button variant="quiet" className="-ml-3" onClick={() => goToField(box.current)}>
            Go to it
          </Button>
        ) : null}
      </Notice>
    </div>
  ) : null;
};
