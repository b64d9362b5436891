"use client";
import { useState } from "react";
import { sayStock } from "@/formats/amounts";
import { sayMoment } from "@/formats/times";
import { RESIDUE_TO_WORDS, RESIDUE_WORDS } from "@/words/said";
import { Button } from "../kit/Button";
import { Link } from "../kit/Link";
import { panel } from "../kit/later";
import type { Left, ResiduePage } from "./ResidueSheet";

const ResidueSheet = panel(() => import("./ResidueSheet").then((module) => module.ResidueSheet));

/** What a batch left and where it went; a touch puts it right. */
export const Residues = ({ page }: { readonly page: ResiduePage }) => {
  const [open, setOpen] = useState<Left | "new" | null>(null);
  const { units } = page.farm;
  return (
    <>
      {page.residues.length === 0 ? (
        <p className="text-soft">Liquor, foam, rinse, shell: nothing written down beside what straining asked.</p>
      ) : null}
      <ul className="divide-y divide-line border-line">
        {page.residues.map((left) => (
          <li key={left.id} className="flex items-center gap-3 py-1.5">
            <span className="min-w-0 grow">
              <b>{RESIDUE_WORDS[left.what]}</b>
              {left.amount === null ? "" : `, ${sayStock(left.amount, left.unit, units)}`}: {RESIDUE_TO_WORDS[left.to]}
              {left.place ? `, ${left.place}` : ""}.{" "}
              <span className="text-soft">
                {sayMoment(new Date(left.atMs), new Date(page.nowMs), page.farm)} by {left.actorName}
                {left.overrideReason ? `. Because: ${left.overrideReason}` : ""}
              </span>
            </span>
            {left.lotId === null ? (
              <Button variant="quiet" aria-label={`Change: ${RESIDUE_WORDS[left.what]}`} onClick={() => setOpen(left)}>
                Change
              </Button>
            ) : (
              <Link href="/shed" className="underline">
                in the shed
              </Link>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-2">
        <Button onClick={() => setOpen("new")}>Something was left</Button>
      </div>
      {open ? <ResidueSheet page={page} before={open === "new" ? null : open} onClose={() => setOpen(null)} /> : null}
    </>
  );
};
