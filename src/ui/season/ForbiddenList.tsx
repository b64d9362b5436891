"use client";
import type { FactForbidden } from "@/core/plan/farm";
import { sayDay } from "@/formats/times";
import type { SeasonNames } from "@/words/said";
import { Button } from "../kit/Button";

/** What is not to be planned, each with its way back. */
export const ForbiddenList = ({
  forbidden,
  names,
  onChange,
}: {
  readonly forbidden: readonly FactForbidden[];
  readonly names: SeasonNames;
  readonly onChange: (left: readonly FactForbidden[]) => void;
}) =>
  forbidden.length === 0 ? null : (
    <section aria-label="Ruled out">
      <h3 className="text-lg">Ruled out</h3>
      <ul className="divide-y divide-line border-y border-line">
        {forbidden.map((one) => {
          const what = names.inputs[one.methodId] ?? one.methodId;
          const where =
            one.vesselId === null ? "" : ` in ${names.vessels[String(one.vesselId)] ?? "a vessel that is gone"}`;
          const when = one.fromOn && one.toOn ? `, started ${sayDay(one.fromOn)} to ${sayDay(one.toOn)}` : "";
          return (
            <li key={JSON.stringify(one)} className="flex items-center justify-between gap-3 py-1">
              <span>
                {what}
                {where}
                {when}
              </span>
              <Button
                variant="quiet"
                aria-label={`Allow again: ${what}${where}${when}`}
                onClick={() => onChange(forbidden.filter((other) => other !== one))}
              >
                Allow again
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
