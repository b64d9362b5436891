"use client";
import { Droplets, FlaskConical, GlassWater, Hand, Skull, Sprout, Wind, type LucideIcon } from "lucide-react";
import type { CautionId } from "@/core/book/cautions";
import { labelsPerPage, type Paper } from "@/core/paper/papers";
import { markerLines, sayLabel, type LabelText } from "@/formats/labelText";
import { sayVolume } from "@/formats/amounts";
import type { LabelsView } from "@/services/papers/readLabels";
import { Choices } from "../kit/Choices";
import { NumberField } from "../kit/fields";
import { Code } from "./Code";
import { PaperBar } from "./PaperBar";
import { Page, PageRule } from "./PaperSheet";
import { usePaperQuery } from "./usePaperQuery";

type Label = LabelsView["labels"][number];

const ICONS: Partial<Record<CautionId, LucideIcon>> = {
  "gas-pressure": Wind,
  "tank-gas": Wind,
  "breathable-lid": Wind,
  "manure": Sprout,
  "urine": Sprout,
  "acid-hands": Hand,
  "acid-gas": Wind,
  "caustic-ash": Hand,
  "root-burn": Droplets,
  "leaf-eaten-soon": Sprout,
  "nicotine": Skull,
  "shellfish": FlaskConical,
};

/** A glass struck through: understood without reading. */
const NoDrinking = ({ className }: { readonly className: string }) => (
  <span className={`relative inline-block ${className}`} role="img" aria-label="Not to drink">
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

/** A drum's label: name and dates are read from a stride away, the rest from a hand. */
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
  <article
    aria-label={`Label ${label.number}`}
    className="flex h-full flex-col border-[0.6mm] border-black p-[3mm] leading-tight"
    style={{ fontSize: small ? "2.9mm" : "3.7mm" }}
  >
    <p className="font-display font-bold leading-none" style={{ fontSize: small ? "6mm" : "9mm" }}>
      {text.name}
    </p>
    <p className="mt-[1mm] flex items-baseline justify-between">
      <span className="reading font-bold" style={{ fontSize: small ? "5mm" : "7mm" }}>
        {text.number}
      </span>
      <span>
        {sayVolume(label.litres, view.farm.units)}
        {label.place ? `, ${label.place}` : ""}
      </span>
    </p>
    <dl className="mt-[2mm] grid gap-[0.8mm] border-t-[0.4mm] border-black pt-[2mm]">
      <Row name="made">{text.made}</Row>
      <Row name={label.useByMs === null ? "ready" : "keeps"}>{text.ready}</Row>
      <Row name="in it">{text.contents}</Row>
      <Row name="put on">{text.dilution}</Row>
      <Row name="made by">{text.maker}</Row>
    </dl>
    <ul className="mt-[2mm] grid gap-[1mm] border-t-[0.4mm] border-black pt-[2mm]">
      {label.cautions.map((caution, index) => {
        const Icon = ICONS[caution];
        return (
          <li key={caution} className="flex gap-[1.5mm]">
            {Icon ? <Icon aria-hidden className="mt-[0.3mm] size-[4mm] shrink-0" strokeWidth={2.2} /> : null}
            {(small ? text.shortCautions : text.cautions)[index]}
          </li>
        );
      })}
    </ul>
    <div className="mt-auto flex items-end gap-[3mm]">
      <NoDrinking className={small ? "size-[12mm] shrink-0" : "size-[18mm] shrink-0"} />
      <p className="flex-1 font-bold">{text.never}</p>
      <div className={small ? "size-[19mm] shrink-0" : "size-[27mm] shrink-0"}>
        <Code code={view.code} label={`Opens batch ${view.batchId}`} />
      </div>
    </div>
  </article>
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
  <article
    aria-label={`Label ${label.number}`}
    className="flex h-full gap-[1.5mm] leading-[1.15]"
    style={{ fontSize: "2.35mm" }}
  >
    <div className="flex min-w-0 flex-1 flex-col">
      <p className="font-display font-bold leading-none" style={{ fontSize: "3.7mm" }}>
        {text.name}
      </p>
      <p className="reading font-bold">
        {text.number} · made {text.made}
      </p>
      <p>{text.ready}</p>
      <p>{text.dilution}</p>
      <p className="mt-auto flex items-center gap-[1mm] font-bold" style={{ fontSize: "2.1mm" }}>
        <NoDrinking className="size-[5mm] shrink-0" />
        NOT TO DRINK. Keep from children.
      </p>
    </div>
    <div className="size-[20mm] shrink-0 self-center">
      <Code code={view.code} label={`Opens batch ${view.batchId}`} />
    </div>
  </article>
);

/** In a large hand, to be copied by marker where there is no printer. */
const MarkerPage = ({ text, paper }: { readonly text: LabelText; readonly paper: Paper }) => (
  <article aria-label={`To copy by marker, ${text.number}`} className="grid h-full content-start gap-[6mm]">
    <p style={{ fontSize: "4.5mm" }}>To copy onto lid or tape by marker:</p>
    {markerLines(text).map((line) => (
      <p
        key={line}
        className="border-b-[0.3mm] border-black pb-[2mm] font-bold leading-none"
        style={{ fontSize: paper.roll ? "6mm" : "13mm" }}
      >
        {line}
      </p>
    ))}
  </article>
);

const chunked = <T,>(things: readonly T[], size: number): T[][] =>
  Array.from({ length: Math.ceil(things.length / size) }, (_, page) => things.slice(page * size, page * size + size));

/** Labels of a batch and its parts, as many of each as there are sides, jars or cans. */
export const LabelsPaper = ({
  view,
  paper,
  copies,
  hand,
}: {
  readonly view: LabelsView;
  readonly paper: Paper;
  readonly copies: number;
  readonly hand: boolean;
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
                <MarkerPage text={sayLabel(label, view.farm)} paper={paper} />
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
                      <JarLabel key={index} label={label} text={sayLabel(label, view.farm)} view={view} />
                    ) : (
                      <DrumLabel
                        key={index}
                        label={label}
                        text={sayLabel(label, view.farm)}
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
