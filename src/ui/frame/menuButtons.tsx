import { SunMoon, UserRound } from "lucide-react";
import type { ComponentProps } from "react";

const BUTTON = "flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15";

export interface PersonMenuProps {
  readonly person: { readonly id: number; readonly name: string };
  readonly people: readonly { readonly id: number; readonly name: string }[];
}

/** Who is recording. */
export const PersonButton = ({ person, ...button }: Pick<PersonMenuProps, "person"> & ComponentProps<"button">) => (
  <button
    type="button"
    aria-haspopup="menu"
    aria-label={`${person.name} is recording; change`}
    className={BUTTON}
    {...button}
  >
    <UserRound aria-hidden className="size-5" />
    <span className="max-sm:sr-only">{person.name}</span>
  </button>
);

export interface ScreenMenuProps {
  /** Shows the keys. */
  readonly onKeys: () => void;
}

/** How the screen is set. */
export const ScreenButton = (button: ComponentProps<"button">) => (
  <button type="button" aria-haspopup="menu" className={BUTTON} {...button}>
    <SunMoon aria-hidden className="size-5" />
    <span className="max-lg:sr-only">Screen</span>
  </button>
);
