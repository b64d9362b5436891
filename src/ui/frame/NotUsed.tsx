import { Notice } from "../kit/Notice";

/** A page's address as it was asked for: each word after the "?" with what it says. */
export type AddressQuery = Readonly<Record<string, string | readonly string[] | undefined>>;

/**
 * Says which words of an address a page could do nothing with, so that a link with a slip in it is not taken for another.
 * @param fits of each word that the page knows: whether it names something that is there, or how to tell
 */
export const NotUsed = ({
  query,
  fits,
}: {
  readonly query: AddressQuery;
  readonly fits: Readonly<Record<string, boolean | ((value: string) => boolean)>>;
}) => {
  const fit = (name: string, value: string): boolean => {
    const asked = fits[name] ?? false;
    return typeof asked === "boolean" ? asked : asked(value);
  };
  // A field of a form that is left empty names nothing.
  const wrong = Object.entries(query).filter(
    ([name, value]) => value !== undefined && value !== "" && !(typeof value === "string" && fit(name, value)),
  );
  if (wrong.length === 0) return null;
  return (
    <div className="px-4 pt-4 print:hidden md:px-8">
      <Notice tone="error" title="Part of this address leads nowhere">
        {wrong.map(([name, value]) => (
          <p key={name} className="break-words">
            “{name}={String(value)}” is not known here. The page is shown without it.
          </p>
        ))}
      </Notice>
    </div>
  );
};
