import { Banknote, BookOpen, Drum, Sprout, Warehouse } from "lucide-react";

/** The places that work, in the order of the work; each has a key. */
export const PLACES = [
  { href: "/", label: "Yard", key: "1", icon: Drum },
  { href: "/shed", label: "Shed", key: "2", icon: Warehouse },
  { href: "/book", label: "Methods", key: "3", icon: BookOpen },
  { href: "/field", label: "Field", key: "4", icon: Sprout },
  { href: "/ledger", label: "Costs", key: "5", icon: Banknote },
] as const;

export const isHere = (href: string, path: string): boolean =>
  href === "/" ? path === "/" || path.startsWith("/batches") : path.startsWith(href);
