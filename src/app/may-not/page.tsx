import type { Metadata } from "next";
import { mayAs, ROLES } from "@/core/people/roles";
import { ROLE_WORDS } from "@/words/said";
import { buttonClass } from "@/ui/kit/Button";
import { Link } from "@/ui/kit/Link";
import { openStanding } from "../session";

export const metadata: Metadata = { title: "Not for you" };

/** What somebody wanted to look at and may not, with who to ask. */
export default async function MayNotPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly least?: string }>;
}) {
  const asked = (await searchParams).least;
  const least = ROLES.find((role) => role === asked) ?? "grower";
  const standing = await openStanding();
  if (standing.type !== "open") return null;
  const { role } = standing.frame.ctx.actor;
  return (
    <div className="mx-auto max-w-xl px-5 py-10">
      <h1 className="text-2xl">{mayAs(role, least) ? "You may look at this now" : "This is not for you to see"}</h1>
      <p className="my-3">
        {mayAs(role, least)
          ? "Your role has changed. Go there again."
          : `A ${ROLE_WORDS[role]} may not look at this. Ask a ${ROLE_WORDS[least]}.`}
      </p>
      <Link href="/" className={buttonClass("strong")}>
        To the yard
      </Link>
    </div>
  );
}
