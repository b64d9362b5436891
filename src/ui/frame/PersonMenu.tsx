"use client";
import { Check } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useDoor } from "../acts/act";
import { Link } from "../kit/Link";
import { PersonButton, type PersonMenuProps } from "./menuButtons";

/** The open menu: who else may record, and the farm's settings. It takes the place of the button that asked for it. */
export const PersonMenu = ({ person, people }: PersonMenuProps) => {
  const { choosePerson, onChanged } = useDoor();
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger asChild>
        <PersonButton person={person} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 min-w-44 border-2 border-ink bg-chalk p-1 text-ink">
          <DropdownMenu.Label className="px-3 py-1 text-[0.88rem] text-soft">Record as</DropdownMenu.Label>
          {people.map(({ id, name }) => (
            <DropdownMenu.Item
              key={id}
              onSelect={() => void choosePerson(id).then(onChanged)}
              className="flex min-h-11 cursor-pointer items-center justify-between gap-4 px-3 data-[highlighted]:bg-marigold-wash data-[highlighted]:outline-none"
            >
              {name}
              {id === person.id ? <Check aria-label="recording now" className="size-5" /> : null}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 border-t border-line" />
          <DropdownMenu.Item asChild>
            <Link
              href="/farm"
              className="flex min-h-11 items-center px-3 data-[highlighted]:bg-marigold-wash data-[highlighted]:outline-none"
            >
              Farm settings
            </Link>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
};
