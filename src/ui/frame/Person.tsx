"use client";
import { useState, type ComponentType } from "react";
import { sayDoor } from "@/words/door";
import { toldOfTrouble } from "../kit/told";
import { PersonButton, type PersonMenuProps } from "./PersonButton";

/** Who is recording, and what changes it; the menu itself comes with the first touch. */
export const Person = (props: PersonMenuProps) => {
  const [Menu, setMenu] = useState<ComponentType<PersonMenuProps> | null>(null);
  const open = () =>
    void import("./PersonMenu").then(
      (module) => setMenu(() => module.PersonMenu),
      () => toldOfTrouble(sayDoor("out-of-reach")),
    );
  return Menu ? <Menu {...props} /> : <PersonButton person={props.person} aria-expanded={false} onClick={open} />;
};
