import {
  Banknote,
  BookOpen,
  CalendarRange,
  Drum,
  GraduationCap,
  Sprout,
  Warehouse,
  type LucideIcon,
} from "lucide-react";
import { mayAs, type Role } from "@/core/people/roles";

interface PlaceShown {
  readonly href: string;
  readonly label: string;
  readonly key: string;
  readonly icon: LucideIcon;
  /** From which role on it is shown; to all where nothing is said. */
  readonly least?: Role;
}

/** The places that work, in the order of the work; each has a key. */
export const PLACES: readonly PlaceShown[] = [
  { href: "/", label: "Yard", key: "1", icon: Drum },
  { href: "/shed", label: "Shed", key: "2", icon: Warehouse },
  { href: "/book", label: "Methods", key: "3", icon: BookOpen },
  { href: "/field", label: "Field", key: "4", icon: Sprout },
  { href: "/season", label: "Season", key: "6", icon: CalendarRange },
  { href: "/ledger", label: "Costs", key: "5", icon: Banknote, least: "grower" },
  { href: "/practice", label: "Practice", key: "7", icon: GraduationCap },
];

/** Those that a role is shown. */
export const placesOf = (role: Role | null): readonly PlaceShown[] =>
  PLACES.filter(({ least }) => least === undefined || (role !== null && mayAs(role, least)));

export const isHere = (href: string, path: string): boolean =>
  href === "/" ? path === "/" || path.startsWith("/batches") : path.startsWith(href);
