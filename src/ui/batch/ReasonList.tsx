import type { ReactNode } from "react";
import { counted } from "@/formats/grammar";

/** More than these are not read at a drum; the judge gives what weighs most first. */
const SHOWN = 5;

/** Why a batch stands as it does, what weighs most first, the rest one tap away; then what else is to be said. */
export function ReasonList({
  reasons,
  children,
}: {
  readonly reasons: readonly string[];
  readonly children: ReactNode;
}) {
  const rest = reasons.slice(SHOWN);
  return (
    <>
      <ul className="mt-1 list-none">
        {reasons.slice(0, SHOWN).map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
        {children}
      </ul>
      {rest.length > 0 ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {counted(rest.length, { one: "One more reason", other: "# more reasons" })}
          </summary>
          <ul className="list-none">
            {rest.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </details>
      ) : null}
    </>
  );
}
