"use client";
import { clsx } from "clsx";
import {
  useId,
  useState,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from "react";
import { numberDoubt } from "@/formats/numbers";

const CONTROL = "min-h-11 w-full rounded-[5px] border-[1.5px] bg-chalk px-3 py-2 text-ink";
/** How a control stands, by whether something is wrong with it. */
export const controlLook = (error: string | undefined) =>
  clsx(CONTROL, error ? "border-rust" : "border-line focus:border-ink");

interface FrameProps {
  readonly id: string;
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
  readonly children: ReactNode;
}

/** A label over its control, with a hint or what is wrong under it. */
export const Frame = ({ id, label, hint, error, children }: FrameProps) => (
  <div>
    <label htmlFor={id} className="mb-1 block text-[0.92rem] font-semibold">
      {label}
    </label>
    {children}
    {error ? (
      <p id={`${id}-error`} role="alert" className="mt-1 text-[0.92rem] font-semibold text-rust">
        {error}
      </p>
    ) : hint ? (
      <p id={`${id}-hint`} className="mt-1 text-[0.88rem] text-soft">
        {hint}
      </p>
    ) : null}
  </div>
);

export interface Common {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** The id of what is said under a control, for a screen reader. */
export const describedBy = (id: string, { hint, error }: Common) =>
  error ? `${id}-error` : hint ? `${id}-hint` : undefined;

export const TextField = ({
  label,
  hint,
  error,
  className,
  ...rest
}: Common & InputHTMLAttributes<HTMLInputElement>) => {
  const id = useId();
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <input
        id={id}
        {...rest}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, { label, hint, error })}
        className={clsx(controlLook(error), className)}
      />
    </Frame>
  );
};

/** A number as typed; one that may be two is asked about while it is typed, not taken as either. */
export const NumberField = ({
  unit,
  ...rest
}: Common & InputHTMLAttributes<HTMLInputElement> & { readonly unit?: string | undefined }) => {
  const [typed, setTyped] = useState("");
  const shown = typeof rest.value === "string" ? rest.value : typed;
  return (
    <TextField
      inputMode="decimal"
      autoComplete="off"
      {...rest}
      onChange={(event) => {
        setTyped(event.target.value);
        rest.onChange?.(event);
      }}
      error={numberDoubt(shown) ?? rest.error}
      label={unit ? `${rest.label} (${unit})` : rest.label}
    />
  );
};

export const SelectField = ({
  label,
  hint,
  error,
  children,
  ...rest
}: Common & SelectHTMLAttributes<HTMLSelectElement>) => {
  const id = useId();
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <select
        id={id}
        {...rest}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, { label, hint, error })}
        className={controlLook(error)}
      >
        {children}
      </select>
    </Frame>
  );
};

export const TextArea = ({ label, hint, error, ...rest }: Common & TextareaHTMLAttributes<HTMLTextAreaElement>) => {
  const id = useId();
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <textarea
        id={id}
        rows={2}
        {...rest}
        aria-invalid={error ? true : undefined}
        aria-describedby={describedBy(id, { label, hint, error })}
        className={controlLook(error)}
      />
    </Frame>
  );
};

export const TickField = ({
  label,
  error,
  ...rest
}: { readonly label: string; readonly error?: string | undefined } & InputHTMLAttributes<HTMLInputElement>) => {
  const id = useId();
  return (
    <div>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          {...rest}
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? id : undefined}
          className="size-6 shrink-0 accent-[var(--blue)]"
        />
        <span>{label}</span>
      </label>
      {error ? (
        <p id={id} role="alert" className="text-[0.92rem] font-semibold text-rust">
          {error}
        </p>
      ) : null}
    </div>
  );
};
