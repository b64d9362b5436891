import { PlaceNav } from "../kit/PlaceNav";

const PLACES = [
  { href: "/shed", name: "Stock" },
  { href: "/shed/shopping", name: "Shopping" },
  { href: "/shed/gathering", name: "Gathering" },
  { href: "/shed/equipment", name: "Equipment" },
  { href: "/shed/probes", name: "Sensors" },
  { href: "/shed/count", name: "Count" },
  { href: "/shed/files", name: "Files" },
] as const;

/** What belongs to the shed, a step away from each other. */
export const ShedNav = ({ here }: { readonly here: (typeof PLACES)[number]["href"] }) => (
  <PlaceNav label="In the shed" places={PLACES} here={here} />
);
