import type { ThingKind } from "@/services/types";
import { THING_NAMES } from "@/words/said";
import { Link } from "../kit/Link";

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
  { href: "/farm/history", name: "History" },
];

/** All that was set up, a step away from each other. */
export const FarmNav = ({ here }: { readonly here: string }) => (
  <nav aria-label="Farm" className="mt-2">
    <ul className="-ml-2.5 flex flex-wrap gap-x-1">
      {PLACES.map(({ href, name }) => (
        <li key={href}>
          <Link
            href={href}
            aria-current={href === here ? "page" : undefined}
            className={`inline-flex min-h-11 items-center border-b-[3px] px-2.5 ${href === here ? "border-marigold font-semibold" : "border-transparent text-soft hover:border-line"}`}
          >
            {name}
          </Link>
        </li>
      ))}
    </ul>
  </nav>
);
