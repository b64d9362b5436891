import { UserRound } from "lucide-react";
import type { ComponentProps } from "react";

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
    className="flex min-h-11 items-center gap-2 rounded-[5px] px-2 hover:bg-board-ink/15"
    {...button}
  >
    <UserRound aria-hidden className="size-5" />
    <span className="max-sm:sr-only">{person.name}</span>
  </button>
);
