"use client";
import { clsx } from "clsx";
import { RadioGroup } from "radix-ui";

export interface Choice<V extends string> {
  readonly value: V;
  readonly label: string;
  readonly note?: string;
  readonly disabled?: boolean;
}

interface ChoicesProps<V extends string> {
  readonly label: string;
  readonly value: V;
  readonly options: readonly Choice<V>[];
  readonly onChange: (value: V) => void;
  /** Side by side, or one under the other with room for a note. */
  readonly stacked?: boolean;
}

/** One of a few, all in sight; arrow keys move between them. */
export const Choices = <V extends string>({ label, value, options, onChange, stacked = false }: ChoicesProps<V>) => (
  <fieldset>
    <legend className="mb-1 text-[0.92rem] font-semibold">{label}</legend>
    <RadioGroup.Root
      value={value}
      onValueChange={(next) => onChange(next as V)}
      aria-label={label}
      className={clsx("flex gap-2", stacked ? "flex-col" : "flex-wrap")}
    >
      {options.map((option) => (
        <RadioGroup.Item
          key={option.value}
          value={option.value}
          disabled={option.disabled}
          className="group min-h-11 rounded-[5px] border-[1.5px] border-line bg-chalk px-3 py-2 text-left data-[state=checked]:border-ink data-[state=checked]:bg-marigold-wash disabled:opacity-60"
        >
          <span className="font-semibold before:mr-2 before:inline-block before:size-2.5 before:rounded-full before:border-[1.5px] before:border-ink before:align-middle group-data-[state=checked]:before:bg-ink">
            {option.label}
          </span>
          {option.note ? <span className="mt-0.5 block text-[0.88rem] text-soft">{option.note}</span> : null}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  </fieldset>
);
