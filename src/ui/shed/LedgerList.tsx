"use client";
import { Link } from "../kit/Link";
import { sayStock } from "@/formats/amounts";
import { fullDate } from "@/formats/times";
import type { FarmView } from "@/services/farm";
import type { ItemView } from "@/services/shed";
import { Button } from "../kit/Button";

const KIND_WORDS = {
  received: "added",
  used: "used",
  wasted: "wasted",
  corrected: "corrected",
  counted: "counted",
} as const;
const SHOWN = 25;

/** The ledger of an ingredient, newest first; a wrong line is put right by a later one that names it. */
export const LedgerList = ({
  item,
  farm,
  onCorrect,
}: {
  readonly item: ItemView;
  readonly farm: FarmView;
  readonly onCorrect: (movementId: number) => void;
}) => {
  if (item.ledger.length === 0) return null;
  return (
    <section aria-label="In and out">
      <h3 className="text-lg">In and out</h3>
      <ol className="divide-y divide-line border-y border-line empty:hidden">
        {item.ledger.slice(0, SHOWN).map((line) => (
          <li key={line.id} className="flex flex-wrap items-center justify-between gap-x-3 py-1">
            <span className="min-w-0">
              <span className="text-soft">{fullDate(new Date(line.atMs), farm)}</span> {KIND_WORDS[line.kind]}
              {line.batchId ? (
                <>
                  {" in "}
                  <Link href={`/batches/${line.batchId}`} className="underline">
                    batch {line.batchId}
                  </Link>
                </>
              ) : null}
              {line.note ? `: ${line.note}` : ""}, {line.actorName}
            </span>
            <span className="flex items-center gap-1">
              <span className={`reading font-semibold ${line.corrected ? "line-through" : ""}`}>
                {line.changeBy > 0 ? "+" : "−"}
                {sayStock(Math.abs(line.changeBy), item.unit, farm.units, 4)}
              </span>
              {line.corrected || line.kind === "corrected" || line.kind === "counted" ? (
                <span className="w-[5.2rem] text-center text-[0.85rem] text-soft">
                  {line.corrected ? "corrected" : ""}
                </span>
              ) : (
                <Button
                  variant="quiet"
                  onClick={() => onCorrect(line.id)}
                  aria-label={`Correct the line of ${fullDate(new Date(line.atMs), farm)}`}
                >
                  Correct
                </Button>
              )}
            </span>
          </li>
        ))}
      </ol>
      {item.ledger.length > SHOWN ? (
        <p className="mt-1 text-[0.9rem] text-soft">The newest {SHOWN}; all of it is in the file of stock.</p>
      ) : null}
    </section>
  );
};
