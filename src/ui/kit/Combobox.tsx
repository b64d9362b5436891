"use client";
import { clsx } from "clsx";
import { Command } from "cmdk";
import { ChevronsUpDown } from "lucide-react";
import { Popover } from "radix-ui";
import { useId, useState } from "react";
import { Frame, controlLook, describedBy, type Common } from "./fields";

export interface ComboOption {
  readonly value: string;
  readonly label: string;
  /** Other words by which it is found. */
  readonly words?: readonly string[];
}

interface ComboboxProps extends Common {
  readonly value: string;
  readonly options: readonly ComboOption[];
  readonly onChange: (value: string) => void;
  /** What may be typed though it is not in the list; null where it may not. */
  readonly own?: ((typed: string) => string | null) | undefined;
}

/** One of very many: a list that is searched by typing, with arrow keys as by thumb. */
export const Combobox = ({ label, hint, error, value, options, onChange, own }: ComboboxProps) => {
  const id = useId();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState("");
  const pick = (next: string) => {
    onChange(next);
    setTyped("");
    setOpen(false);
  };
  const shown = options.find((option) => option.value === value)?.label ?? value;
  const ownValue = typed.trim() === "" ? null : (own?.(typed.trim()) ?? null);
  return (
    <Frame id={id} label={label} hint={hint} error={error}>
      <Popover.Root open={open} onOpenChange={setOpen}>
        <Popover.Trigger
          id={id}
          role="combobox"
          aria-expanded={open}
          aria-invalid={error ? true : undefined}
          aria-describedby={describedBy(id, { label, hint, error })}
          aria-label={`${label}: ${shown}`}
          className={clsx(controlLook(error), "flex items-center justify-between gap-2 text-left")}
        >
          <span className="truncate">{shown || "Choose"}</span>
          <ChevronsUpDown aria-hidden className="size-4 shrink-0 text-soft" />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="start"
            sideOffset={4}
            className="z-[60] w-[var(--radix-popover-trigger-width)] min-w-64 border-2 border-ink bg-chalk text-ink"
          >
            <Command label={label} loop>
              <Command.Input
                value={typed}
                onValueChange={setTyped}
                placeholder="Type to search"
                className="min-h-11 w-full border-b-2 border-line bg-chalk px-3 outline-none focus:border-ink"
              />
              <Command.List className="max-h-64 overflow-y-auto p-1">
                <Command.Empty className="px-3 py-3 text-soft">
                  {ownValue === null ? "Nothing found. Try a shorter word." : null}
                </Command.Empty>
                {options.map((option) => (
                  <Command.Item
                    key={option.value}
                    value={option.value}
                    keywords={[option.label, ...(option.words ?? [])]}
                    onSelect={() => pick(option.value)}
                    className="flex min-h-11 cursor-pointer items-center px-3 data-[selected=true]:bg-marigold-wash"
                  >
                    {option.label}
                  </Command.Item>
                ))}
                {ownValue === null ? null : (
                  <Command.Item
                    forceMount
                    value={`own ${typed}`}
                    onSelect={() => pick(ownValue)}
                    className="flex min-h-11 cursor-pointer items-center px-3 data-[selected=true]:bg-marigold-wash"
                  >
                    Use “{ownValue}”
                  </Command.Item>
                )}
              </Command.List>
            </Command>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </Frame>
  );
};
