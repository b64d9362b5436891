"use client";
import { ALargeSmall, Check, Keyboard, Moon, type LucideIcon } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { ScreenButton, type ScreenMenuProps } from "./menuButtons";
import { isDark, isLarge, turnLetters, turnLight } from "./screenSettings";

const ITEM =
  "flex min-h-12 cursor-pointer items-center gap-3 px-3 data-[highlighted]:bg-marigold-wash data-[highlighted]:outline-none";

interface SettingProps {
  readonly icon: LucideIcon;
  readonly name: string;
  readonly isOn: () => boolean;
  readonly turn: () => void;
}

const Setting = ({ icon: Icon, name, isOn, turn }: SettingProps) => {
  const [on, setOn] = useState(isOn);
  return (
    <DropdownMenu.CheckboxItem
      checked={on}
      onCheckedChange={() => {
        turn();
        setOn(isOn());
      }}
      // It is seen at once what it does, and undone where it was done.
      onSelect={(event) => event.preventDefault()}
      className={ITEM}
    >
      <Icon aria-hidden className="size-5" />
      <span className="flex-1">{name}</span>
      <DropdownMenu.ItemIndicator>
        <Check aria-hidden className="size-5" />
      </DropdownMenu.ItemIndicator>
    </DropdownMenu.CheckboxItem>
  );
};

/** How the screen of this device is set, each by a picture and its word; the keys, where there is a keyboard. */
export const ScreenMenu = ({ onKeys }: ScreenMenuProps) => (
  <DropdownMenu.Root defaultOpen>
    <DropdownMenu.Trigger asChild>
      <ScreenButton />
    </DropdownMenu.Trigger>
    <DropdownMenu.Portal>
      <DropdownMenu.Content align="end" className="z-50 min-w-52 border-2 border-ink bg-chalk p-1 text-ink">
        <DropdownMenu.Label className="px-3 py-1 text-[0.88rem] text-soft">On this device</DropdownMenu.Label>
        <Setting icon={ALargeSmall} name="Large letters" isOn={isLarge} turn={turnLetters} />
        <Setting icon={Moon} name="Dark screen" isOn={isDark} turn={turnLight} />
        <DropdownMenu.Separator className="my-1 border-t border-line max-md:hidden" />
        <DropdownMenu.Item onSelect={onKeys} className={`${ITEM} max-md:hidden`}>
          <Keyboard aria-hidden className="size-5" />
          Keys
        </DropdownMenu.Item>
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
);
