import { SunMoon, UserRound } from "lucide-react";
import type { ComponentProps } from "react";
import type { Role } from "@/core/people/roles";

/** A picture with its word: beside it where there is room, small below it on a phone. */
export const HEAD_BUTTON =
  "flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15 max-lg:flex-col max-lg:gap-0 max-lg:px-1.5 max-lg:text-[0.8rem]";

export interface PersonMenuProps {
  readonly person: {
    readonly id: number;
    readonly name: string;
    readonly role: Role;
    /** Whether others take this device over by PIN. */
    readonly isShared: boolean;
  };
}

/** Who is signed in. */
export const PersonButton = ({ person, ...button }: Pick<PersonMenuProps, "person"> & ComponentProps<"button">) => (
  <button
    type="button"
    aria-haspopup="menu"
    aria-label={`${person.name} is signed in`}
    className={HEAD_BUTTON}
    {...button}
  >
    <UserRound aria-hidden className="size-5" />
    <span className="max-w-[7rem] truncate max-lg:max-w-[4.2rem]">{person.name}</span>
  </button>
);

export interface ScreenMenuProps {
  /** Shows the keys. */
  readonly onKeys: () => void;
}

/** How the screen is set. */
export const ScreenButton = (button: ComponentProps<"button">) => (
  <button type="button" aria-haspopup="menu" className={HEAD_BUTTON} {...button}>
    <SunMoon aria-hidden className="size-5" />
    <span>Screen</span>
  </button>
);
