"use client";
import { useEffect, useRef, type ReactNode } from "react";
import type { ActionError } from "@/contracts/actions/requests";
import { Notice } from "./Notice";

/** What the server would not take, said beside the button that was pressed; it takes the focus, so that nobody misses it. */
export const Refusal = ({
  error,
  children = null,
}: {
  readonly error: ActionError | null;
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
      </Notice>
    </div>
  ) : null;
};
