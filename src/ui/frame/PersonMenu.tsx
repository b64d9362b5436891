"use client";
import { DropdownMenu } from "radix-ui";
import type { ReactNode } from "react";
import { ROLE_WORDS } from "@/words/said";
import { useFarmAct } from "../acts/farm";
import { Link } from "../kit/Link";
import { forget } from "../people/forget";
import { PersonButton, type PersonMenuProps } from "./menuButtons";

const ITEM =
  "flex min-h-11 cursor-pointer items-center px-3 data-[highlighted]:bg-marigold-wash data-[highlighted]:outline-none";

const Item = ({ onSelect, children }: { readonly onSelect: () => void; readonly children: ReactNode }) => (
  <DropdownMenu.Item onSelect={onSelect} className={ITEM}>
    {children}
  </DropdownMenu.Item>
);

/** The open menu: who is signed in, what is theirs to set, and the way out. It takes the place of the button that asked for it. */
export const PersonMenu = ({ person }: PersonMenuProps) => {
  const leave = useFarmAct("signOut", "toast");
  const lock = useFarmAct("lockDevice", "toast");
  return (
    <DropdownMenu.Root defaultOpen>
      <DropdownMenu.Trigger asChild>
        <PersonButton person={person} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-50 min-w-44 border-2 border-ink bg-chalk p-1 text-ink">
          <DropdownMenu.Label className="px-3 py-1 text-[0.88rem] text-soft">
            {person.name}, {ROLE_WORDS[person.role]}
          </DropdownMenu.Label>
          {person.isShared ? <Item onSelect={() => void lock.run({})}>Lock, or somebody else</Item> : null}
          <DropdownMenu.Item asChild>
            <Link href="/farm/access" className={ITEM}>
              Passphrase, PIN, devices
            </Link>
          </DropdownMenu.Item>
          <DropdownMenu.Item asChild>
            <Link href="/farm" className={ITEM}>
              Farm settings
            </Link>
          </DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 border-t border-line" />
          <Item onSelect={() => void leave.run({}).then(forget)}>Sign out</Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
};
