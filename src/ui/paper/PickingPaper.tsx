import { CAUTIONS } from "@/core/book/cautions";
import type { Paper } from "@/core/paper/papers";
import { sayStock } from "@/formats/amounts";
import { clockTime, fullDate, sayDay } from "@/formats/times";
import type { GatherView } from "@/services/gather";
import { LongPage } from "./PaperSheet";
import { PaperBar } from "./PaperBar";
import { TickBox } from "./ShoppingPaper";

const BLANK_LINES = 8;

/** For going out before the sun: what is wanted, what is there, what never, and lines to write what was picked. */
export const PickingPaper = ({ view, paper }: { readonly view: GatherView; readonly paper: Paper }) => (
  <div className="px-4 py-5 print:p-0">
    <PaperBar title="Picking list" paper={paper.id} />
    <LongPage paper={paper}>
      <h2 className="text-2xl">Picking, {view.farm.name}</h2>
      <p>
        {view.sunriseMs === null
          ? fullDate(new Date(view.nowMs), view.farm)
          : `Sun up ${clockTime(new Date(view.sunriseMs), view.farm)}, ${fullDate(new Date(view.sunriseMs), view.farm)}: out half an hour before. Dew on, growing tips first, unwashed, healthy.`}
      </p>
      {view.wanted.length > 0 ? (
        <section className="mt-[4mm]">
          <h3 className="border-b-[0.5mm] border-black text-xl">Wanted</h3>
          <ul>
            {view.wanted.map((line) => (
              <li key={line.ingredient} className="flex gap-[3mm] border-b-[0.2mm] border-black py-[1.6mm]">
                <TickBox />
                <span className="flex-1">
                  <span className="font-semibold">{line.name}</span>, {sayStock(line.short, line.unit, view.farm.units)}
                  , for {line.forWhat.join(", ")}, {sayDay(line.firstDay)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <section className="mt-[4mm]">
        <h3 className="border-b-[0.5mm] border-black text-xl">There in {view.season}</h3>
        {view.groups.map((group) => (
          <p key={group.kind} className="break-inside-avoid py-[1mm]">
            <span className="font-semibold">For {group.good}:</span>{" "}
            {group.plants.map(({ name, caution }) => `${name}${caution ? " ▲" : ""}`).join(", ")}
          </p>
        ))}
        <p className="text-[0.88em]">▲ has a caution: look it up before it goes in.</p>
      </section>
      <section className="mt-[4mm] break-inside-avoid border-[0.5mm] border-black p-[3mm]">
        <h3 className="text-xl">Never</h3>
        <p>{CAUTIONS["poisonous-plants"]}</p>
        <p className="mt-[1mm]">
          <span className="font-semibold">By name:</span> {view.refused.map(({ name }) => name).join(", ")}.
        </p>
      </section>
      <section className="mt-[4mm] break-inside-avoid">
        <h3 className="text-xl">Picked</h3>
        <table className="w-full text-left">
          <thead>
            <tr>
              {["plant", "part", "where", "how much", "who"].map((head) => (
                <th key={head} className="border-b-[0.5mm] border-black font-semibold">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {Array.from({ length: BLANK_LINES }, (_, line) => (
              <tr key={line}>
                {Array.from({ length: 5 }, (_cell, cell) => (
                  <td key={cell} className="h-[9mm] border-b-[0.2mm] border-black" />
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </LongPage>
  </div>
);
