import { CAUTIONS } from "@/core/book/cautions";
import type { Paper } from "@/core/paper/papers";
import { sayMeasured } from "@/formats/measured";
import { sayStock } from "@/formats/amounts";
import { INGREDIENT_FACTS } from "@/core/book/ingredientFacts";
import { findIngredient } from "@/core/book/ingredients";
import { fullDate } from "@/formats/times";
import type { MixingView } from "@/services/mixing";
import { LongPage } from "./PaperSheet";
import { CautionPictures } from "../kit/CautionPictures";
import { PaperBar } from "./PaperBar";
import { TickBox } from "./ShoppingPaper";
import { BookText } from "../kit/BookText";

/** A step with its box, its amount, and room for what really went in. */
const StepRow = ({
  step,
  view,
}: {
  readonly step: MixingView["progress"]["steps"][number]["step"];
  readonly view: MixingView;
}) => {
  const { amount } = step;
  const of = amount
    ? {
        itemId: amount.ingredient,
        unit: amount.unit,
        densityKgPerL: findIngredient(amount.ingredient).densityKgPerL,
      }
    : null;
  const ours = amount && of ? sayMeasured(amount.planned, of, view.measures) : null;
  return (
    <tr className="break-inside-avoid border-b-[0.2mm] border-black align-top">
      <td className="py-[1.6mm]">
        <TickBox />
      </td>
      <td className="py-[1.6mm] pr-[3mm]">
        <span className="font-semibold">{step.title}</span>
        {step.amount?.live ? " (alive)" : ""}{" "}
        {step.amount ? (
          <CautionPictures cautions={INGREDIENT_FACTS[step.amount.ingredient].cautions} className="size-[4.5mm]" />
        ) : null}
        <span className="block text-[0.88em]">
          <BookText>{step.text}</BookText>
          {step.checks.length > 0 ? ` ${step.checks.map((check) => `☐ ${check}`).join("  ")}` : ""}
          {step.answers.length > 0 ? ` ${step.answers.map(({ word }) => `☐ ${word}`).join("  ")}` : ""}
          {step.wait ? ` Then ${step.wait.minutes} min ${step.wait.what}.` : ""}
          {step.everyMin ? ` Every ${step.everyMin} min.` : ""}
        </span>
      </td>
      <td className="py-[1.6mm]">
        {amount ? (
          <span className="reading text-lg font-semibold">
            {sayStock(amount.planned, amount.unit, view.farm.units)}
          </span>
        ) : null}
        {ours ? <span className="block text-[0.88em]">about {ours}</span> : null}
      </td>
      <td className="border-l-[0.2mm] border-black" />
      <td className="border-l-[0.2mm] border-black" />
    </tr>
  );
};

/** The fill on paper: each step with its box, its amount in the farm's measures, and room for what really went in and when. */
export const MixingPaper = ({ view, paper }: { readonly view: MixingView; readonly paper: Paper }) => (
  <div className="px-4 py-5 print:p-0">
    <PaperBar title="Fill sheet" paper={paper.id} />
    <LongPage paper={paper}>
      <h2 className="text-2xl">
        {view.recipeName} in {view.vesselName}
      </h2>
      <p>
        {view.farm.name}, {fullDate(new Date(view.nowMs), view.farm)}. Who: ____________________
      </p>
      <table className="mt-[4mm] w-full border-collapse text-left">
        <thead>
          <tr className="border-b-[0.5mm] border-black">
            <td className="w-[9mm]" />
            <th>what</th>
            <th className="w-[34mm]">how much</th>
            <th className="w-[26mm]">really</th>
            <th className="w-[20mm]">at</th>
          </tr>
        </thead>
        <tbody>
          {view.progress.steps.map(({ step }) => (
            <StepRow key={step.key} step={step} view={view} />
          ))}
        </tbody>
      </table>
      <section className="mt-[4mm] break-inside-avoid border-[0.5mm] border-black p-[3mm] text-[0.92em]">
        <h3 className="text-lg">Mind</h3>
        <ul className="list-disc pl-[5mm]">
          {view.cautions.map((caution) => (
            <li key={caution}>
              <BookText>{CAUTIONS[caution]}</BookText>
            </li>
          ))}
          <li>Follow local law, your certifier and qualified electricians first.</li>
        </ul>
      </section>
    </LongPage>
  </div>
);
