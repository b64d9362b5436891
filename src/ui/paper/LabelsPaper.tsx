"use client";
import { GlassWater } from "lucide-react";
import { labelsPerPage, type Paper } from "@/core/paper/papers";
import type { LabelLanguage } from "@/words/labelLanguage";
import { markerLines, sayLabel, type LabelText } from "@/words/labelText";
import { sayVolume } from "@/formats/amounts";
import type { LabelsView } from "@/services/papers";
import { CAUTION_ICONS } from "../kit/Cautions";
import { Choices } from "../kit/Choices";
import { NumberField } from "../kit/fields";
import { Code } from "./Code";
import { Fitted } from "./Fitted";
import { LanguageField } from "./LanguageField";
import { PaperBar } from "./PaperBar";
import { Page, PageRule } from "./PaperSheet";
import { usePaperQuery } from "./usePaperQuery";

type Label = LabelsView["labels"][number];

/** A glass struck through: understood without reading. */
const NoDrinking = ({ className }: { readonly className: string }) => (
  <span className={`relative inline-block ${className}`} role="img" aria-label="Do not drink">
    <GlassWater aria-hidden className="h-full w-full" strokeWidth={1.8} />
    <svg aria-hidden viewBox="0 0 24 24" className="absolute inset-0 h-full w-full">
      <circle cx={12} cy={12} r={10.8} fill="none" stroke="#000" strokeWidth={2} />
      <path d="M4.5 19.5l15 -15" stroke="#000" strokeWidth={2.4} />
    </svg>
  </span>
);

const Row = ({ name, children }: { readonly name: string; readonly children: React.ReactNode }) => (
  <div className="grid grid-cols-[4.6em_1fr] gap-x-[0.5em]">
    <dt>{name}</dt>
    <dd className="font-semibold">{children}</dd>
  </div>
);

/** What hurts stands before all else: not to drink, and the hazards, each with its picture. */
const HazardBand = ({ text }: { readonly text: LabelText }) => (
  <div className="flex items-center gap-[0.6em] border-b-[0.5mm] border-black pb-[0.5em] text-[1.06em]">
    <NoDrinking className="size-[2.6em] shrink-0" />
    <ul className="flex min-w-0 flex-1 flex-wrap gap-x-[0.8em] gap-y-[0.2em] font-bold leading-tight">
      <li>{text.notToDrink}</li>
      {text.hazards.map(({ caution, words }) => {
        const Icon = CAUTION_ICONS[caution];
        return (
          <li key={caution} className="flex items-center gap-[0.25em]">
            {Icon ? <Icon aria-hidden className="size-[1.1em] shrink-0" strokeWidth={2.4} /> : null}
            {words}
          </li>
        );
      })}
    </ul>
  </div>
);

/** A drum's label: what hurts first, then name and dates that are read from a stride away, the rest from a hand. */
const DrumLabel = ({
  label,
  text,
  view,
  small,
}: {
  readonly label: Label;
  readonly text: LabelText;
  readonly view: LabelsView;
  readonly small: boolean;
}) => (
  <Fitted
    label={`Label ${label.number}`}
    letterMm={small ? 2.7 : 3.4}
    className="flex h-full min-h-0 flex-col border-[0.6mm] border-black p-[2.5mm] leading-tight"
  >
    <HazardBand text={text} />
    <p className="mt-[0.65em] font-display text-[2.2em] leading-none font-bold">{text.name}</p>
    <p className="mt-[1mm] flex items-baseline justify-between gap-[2mm]">
      <span className="reading text-[1.75em] font-bold">{text.number}</span>
      <span>
        {sayVolume(label.litres, view.farm.units)}
        {label.place ? `, ${label.place}` : ""}
      </span>
    </p>
    <dl className="mt-[1.5mm] grid gap-[0.6mm] border-t-[0.4mm] border-black pt-[1.5mm]">
      <Row name={text.rows.made}>{text.made}</Row>
      <Row name={label.useByMs === null ? text.rows.ready : text.rows.keeps}>{text.ready}</Row>
      <Row name={text.rows.inIt}>{text.contents}</Row>
      <Row name={text.rows.putOn}>{text.dilution}</Row>
      <Row name={text.rows.madeBy}>{text.maker}</Row>
    </dl>
    <div className="mt-[1.5mm] flex min-h-0 flex-1 items-end gap-[3mm] border-t-[0.4mm] border-black pt-[1.5mm]">
      <div className="min-w-0 flex-1 self-start">
        <p className="font-bold">{text.never}</p>
        <ul className="mt-[1mm] grid gap-[0.8mm]">
          {(small ? text.shortCautions.slice(0, 2) : text.cautions).map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </div>
      <div className={small ? "size-[17mm] shrink-0" : "size-[25mm] shrink-0"}>
        <Code code={view.code} label={`Opens batch ${view.batchId}`} />
      </div>
    </div>
  </Fitted>
);

/** The smallest label: a jar's. What can't be left out, and the code for the rest. */
const JarLabel = ({
  label,
  text,
  view,
}: {
  readonly label: Label;
  readonly text: LabelText;
  readonly view: LabelsView;
}) => (
  <Fitted label={`Label ${label.number}`} letterMm={2.25} most={1.35} className="flex h-full gap-[1.5mm] leading-[1.1]">
    <div className="flex min-w-0 flex-1 flex-col gap-[0.5mm]">
      <div className="flex items-center gap-[1mm] font-bold">
        <NoDrinking className="size-[5mm] shrink-0" />
        <p>{[text.notToDrink, ...text.hazards.map(({ words }) => words)].join(". ")}</p>
      </div>
      <p className="font-display text-[1.5em] leading-none font-bold">{text.name}</p>
      <p className="reading font-bold">
        {text.number} · {text.rows.made} {text.made}
      </p>
      <p>{text.ready}</p>
      <p>{text.dilution}</p>
    </div>
    <div className="size-[18mm] shrink-0 self-center">
      <Code code={view.code} label={`Opens batch ${view.batchId}`} />
    </div>
  </Fitted>
);

/** The hand on a sheet, on a drum's label and on a jar's, mm. */
const handMm = ({ roll, heightMm }: Paper) => (roll ? (heightMm < 50 ? 2.6 : 6) : 12);

/** In a large hand, to be copied by marker where there is no printer. */
const MarkerPage = ({ text, paper }: { readonly text: LabelText; readonly paper: Paper }) => (
  <Fitted
    label={`To copy by marker, ${text.number}`}
    letterMm={handMm(paper)}
    className="grid h-full content-start gap-[0.3em]"
  >
    {paper.heightMm < 50 ? null : <p className="text-[0.5em]">To copy onto lid or tape by marker:</p>}
    {markerLines(text).map((line) => (
      <p key={line} className="border-b-[0.3mm] border-black pb-[0.2em] leading-none font-bold">
        {line}
      </p>
    ))}
  </Fitted>
);

const chunked = <T,>(things: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(things.length / size) }, (_, page) => things.slice(page * size, page * size + size));

/** Labels of a batch and its parts, as many of each as there are sides, jars or cans. */
export const LabelsPaper = ({
  view,
  paper,
  copies,
  hand,
  language,
}: {
  readonly view: LabelsView;
  readonly paper: Paper;
  readonly copies: number;
  readonly hand: boolean;
  /** The language of whoever opens the drum. */
  readonly language: LabelLanguage;
}) => {
  const to = usePaperQuery();
  const { columns, rows } = labelsPerPage(paper);
  const all = view.labels.flatMap((label) => Array.from({ length: copies }, () => label));
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title={`Labels of batch ${view.batchId}`} paper={paper.id} rolls>
        <Choices
          label="How"
          value={hand ? "marker" : "print"}
          onChange={(next) => to("hand", next === "marker" ? "1" : "0")}
          options={[
            { value: "print", label: "printed" },
            { value: "marker", label: "large hand" },
          ]}
        />
        <LanguageField language={language} />
        <div className="w-28">
          <NumberField
            label="Of each"
            defaultValue={copies}
            onChange={(event) => {
              const count = Number(event.target.value);
              if (Number.isInteger(count) && count >= 1 && count <= 50) to("copies", String(count));
            }}
          />
        </div>
      </PaperBar>
      <PageRule paper={paper} />
      <div role="region" aria-label="The pages" tabIndex={0} className="overflow-x-auto print:overflow-visible">
        {hand
          ? view.labels.map((label) => (
              <Page key={label.number} paper={paper}>
                <MarkerPage text={sayLabel(label, view.farm, language)} paper={paper} />
              </Page>
            ))
          : chunked(all, columns * rows).map((page, number) => (
              <Page key={number} paper={paper}>
                <div
                  className="grid h-full gap-[4mm]"
                  style={{
                    gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))`,
                    gridTemplateRows: `repeat(${rows}, minmax(0, 1fr))`,
                  }}
                >
                  {page.map((label, index) =>
                    paper.heightMm < 50 ? (
                      <JarLabel key={index} label={label} text={sayLabel(label, view.farm, language)} view={view} />
                    ) : (
                      <DrumLabel
                        key={index}
                        label={label}
                        text={sayLabel(label, view.farm, language)}
                        view={view}
                        small={paper.widthMm < 80}
                      />
                    ),
                  )}
                </div>
              </Page>
            ))}
      </div>
    </div>
  );
};
