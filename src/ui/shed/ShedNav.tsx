import { Link } from "../kit/Link";

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
  <nav aria-label="In the shed" className="mt-2">
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
