import type { ThingKind } from "@/services/types";
import { THING_NAMES } from "@/words/said";
import { PlaceNav } from "../kit/PlaceNav";

/** Kinds in the order in which a farm comes to have them. */
export const KINDS_SHOWN: readonly ThingKind[] = [
  "person",
  "vessel",
  "tool",
  "water",
  "equipment",
  "own-ingredient",
  "gathering-place",
  "worm-bin",
  "device",
];
export const thingHref = (kind: ThingKind): string => `/farm/${kind}`;

const PLACES: readonly { readonly href: string; readonly name: string }[] = [
  { href: "/farm", name: "Settings" },
  ...KINDS_SHOWN.map((kind) => ({ href: thingHref(kind), name: THING_NAMES[kind].many })),
  { href: "/farm/access", name: "Sign-in" },
  { href: "/farm/history", name: "History" },
];

/** All that was set up, a step away from each other. */
export const FarmNav = ({ here }: { readonly here: string }) => <PlaceNav label="Farm" places={PLACES} here={here} />;
