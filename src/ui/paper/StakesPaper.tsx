"use client";
import type { Paper } from "@/core/paper/papers";
import type { ScoringView } from "@/services/trials";
import { unitName } from "../trials/unitName";
import { PaperBar } from "./PaperBar";
import { LongPage } from "./PaperSheet";

/** A tag for the stake of each strip: its code, large, and where it stands. What the strip gets is not on it. */
export const StakesPaper = ({ view, paper }: { readonly view: ScoringView; readonly paper: Paper }) => (
  <div className="px-4 py-5 print:p-0">
    <PaperBar title="Stake labels" paper={paper.id} />
    <LongPage paper={paper}>
      <h1 className="text-[5mm]">{view.question}</h1>
      <p className="mb-[4mm]">Cut them apart, one to each stake. Only the code is read in the row.</p>
      <ul className="grid grid-cols-2 gap-[3mm]">
        {view.units.map((unit) => (
          <li
            key={unit.code}
            className="break-inside-avoid border-[0.3mm] border-dashed border-black px-[3mm] py-[2mm] text-center"
          >
            <span className="reading block text-[16mm] font-semibold leading-none">{unit.code}</span>
            <span className="mt-[1.5mm] block text-[4mm]">{unitName(unit)}</span>
          </li>
        ))}
      </ul>
    </LongPage>
  </div>
);
