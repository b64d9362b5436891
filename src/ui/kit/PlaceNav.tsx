import { Link } from "./Link";

/** Pages of one place, a step away from each other. */
export const PlaceNav = ({
  label,
  places,
  here,
}: {
  readonly label: string;
  readonly places: readonly { readonly href: string; readonly name: string }[];
  readonly here: string;
}) => (
  <nav aria-label={label} className="mt-2">
    <ul className="-ml-2.5 flex flex-wrap gap-x-1">
      {places.map(({ href, name }) => (
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
