import type { PracticeDrum } from "@/core/practice/drum/setup";
import type { Retold as Told, SignTold } from "@/core/practice/drum/retold";
import { CAUTIONS } from "@/core/book/cautions";
import { inText } from "@/formats/grammar";
import {
  BETTER,
  CARE_NAMES,
  EVENT_NAMES,
  FAULT_NOTES,
  FAULT_TEACHES,
  MEANINGS,
  OUTCOME_NAMES,
  SIGN_NAMES,
} from "@/words/said";
import { BookText } from "../kit/BookText";
import { Notice } from "../kit/Notice";
import { RowsTable } from "../kit/RowsTable";
import { sayCoins, sayHour } from "./sayHour";

const share = (hour: number, lastH: number): number => (100 * Math.min(hour, lastH)) / lastH;

/** The drum's whole time as a band: not ready, ready, too old, bad; above it what the learner did, below it the calm grower. */
const Band = ({ drum, told }: { readonly drum: PracticeDrum; readonly told: Told }) => {
  const { openedH, closedH, offH, ended, calm, signs } = told;
  const lastH = Math.min(drum.untilH, Math.max(ended.hour, calm.hour, openedH ?? 0, offH ?? 0) * 1.15 + 6);
  const until = (hour: number | null) => share(hour ?? lastH, lastH);
  const offFrom = until(offH);
  const parts = [
    { from: 0, to: Math.min(until(openedH), offFrom), look: "bg-rain-wash", name: "not ready" },
    { from: until(openedH), to: Math.min(until(closedH), offFrom), look: "bg-leaf-wash", name: "ready" },
    { from: until(closedH), to: offFrom, look: "bg-galvanised", name: "too old" },
    { from: offFrom, to: 100, look: "bg-rust-wash", name: "bad" },
  ].filter(({ from, to }) => to > from + 0.2);
  return (
    <div
      role="img"
      aria-label={`Your end: ${sayHour(drum, ended.hour)}. A calm grower’s end: ${sayHour(drum, calm.hour)}.`}
    >
      <div className="relative h-9">
        {signs.map(({ hour, kind }, nth) => (
          <span
            key={`${nth} ${kind}`}
            className="absolute bottom-0 size-2 -translate-x-1 rounded-full bg-ink"
            style={{ left: `${share(hour, lastH)}%` }}
          />
        ))}
        <span
          className="absolute bottom-2 -translate-x-full border-r-[3px] border-rust pr-1.5 font-semibold leading-tight"
          style={{ left: `${Math.max(8, share(ended.hour, lastH))}%` }}
        >
          you
        </span>
      </div>
      <div className="relative h-11 border-2 border-ink">
        {parts.map(({ from, to, look, name }) => (
          <span
            key={name}
            className={`absolute inset-y-0 overflow-hidden px-1.5 py-2 text-[0.9rem] leading-tight ${look}`}
            style={{ left: `${from}%`, width: `${to - from}%` }}
          >
            {to - from > 9 ? name : ""}
          </span>
        ))}
      </div>
      <div className="relative h-8">
        <span
          className="absolute top-1 -translate-x-full border-r-[3px] border-leaf pr-1.5 font-semibold leading-tight text-leaf"
          style={{ left: `${Math.max(22, share(calm.hour, lastH))}%` }}
        >
          a calm grower
        </span>
      </div>
    </div>
  );
};

const saySign = (drum: PracticeDrum, { hour, kind, word, says, because, wasSo }: SignTold): readonly string[] => [
  sayHour(drum, hour),
  kind === "ph" ? `pH ${word}` : `${SIGN_NAMES[kind]}: ${word}`,
  says === null ? "tells nothing here" : `says ${MEANINGS[says]}${because ? `: ${because}` : ""}`,
  wasSo === null ? "" : wasSo ? "It was so" : "It was not so",
];

const GAIN_NAMES = {
  worth: "What it brought",
  inputs: "What went in",
  looks: "Your looks",
  care: "Your work on it",
  standing: "The days in the drum",
} as const;

/** What was so, in order. */
const Facts = ({ drum, told }: { readonly drum: PracticeDrum; readonly told: Told }) => {
  const { calm, calmCares, openedH, offH, signs, events } = told;
  const first = signs.find(({ says, wasSo }) => says === "ready" && wasSo === true);
  return (
    <ul className="max-w-2xl list-disc pl-5">
      <li>
        {openedH === null
          ? "Left like this, it would never have been ready."
          : `It was ready from ${sayHour(drum, openedH)}.`}
      </li>
      {first ? (
        <li>
          You could first know it at {sayHour(drum, first.hour)}:{" "}
          {first.kind === "ph" ? `pH ${first.word}` : `${first.kind} ${first.word}`}.
        </li>
      ) : null}
      {offH === null ? null : <li>It was bad from {sayHour(drum, offH)}.</li>}
      {events
        .filter(({ event }) => !["opened", "closed", "off"].includes(event))
        .map(({ hour, event }) => (
          <li key={`${hour} ${event}`}>
            {sayHour(drum, hour)}: {EVENT_NAMES[event]}.
          </li>
        ))}
      {drum.fault ? (
        <li>
          {FAULT_NOTES[drum.fault]} {FAULT_TEACHES[drum.fault]}
        </li>
      ) : null}
      <li>
        A calm grower ended at {sayHour(drum, calm.hour)}: {inText(OUTCOME_NAMES[calm.outcome])}, {sayCoins(calm.net)}{" "}
        coins.
        {calmCares.map(({ hour, care }) => ` ${sayHour(drum, hour)}: ${inText(CARE_NAMES[care])}.`).join("")}
      </li>
    </ul>
  );
};

/** What each sign meant, and whether it was so. */
const Signs = ({ drum, signs }: { readonly drum: PracticeDrum; readonly signs: readonly SignTold[] }) =>
  signs.length > 0 ? (
    <div>
      <h3 className="font-semibold">What each sign meant</h3>
      <ol className="divide-y divide-line border-y border-line">
        {signs.slice(-12).map((sign, nth) => {
          const [at, word, says, so] = saySign(drum, sign);
          return (
            <li key={`${nth} ${sign.kind}`} className="grid gap-x-4 py-1.5 sm:grid-cols-[8rem_11rem_1fr_7rem]">
              <span className="reading text-soft">{at}</span>
              <span className="font-semibold">{word}</span>
              <span>{says}</span>
              <span className={sign.wasSo === false ? "text-rust" : "text-soft"}>{so}</span>
            </li>
          );
        })}
      </ol>
      <RowsTable
        name="practice-signs"
        heads={["When", "Sign", "It says", "True"]}
        rows={signs.map((sign) => saySign(drum, sign))}
      />
    </div>
  ) : null;

/** The drum once more, with what was hidden: what was so, what each sign meant, what a calm grower would have done. */
export const Retold = ({ drum, told }: { readonly drum: PracticeDrum; readonly told: Told }) => {
  const { ended, better, signs } = told;
  const hurts =
    ended.outcome === "used-spoilt" ? CAUTIONS.mould : ended.outcome === "burst" ? CAUTIONS["gas-pressure"] : null;
  return (
    <section aria-label="The drum once more" className="grid gap-4">
      <div>
        <h2 tabIndex={-1} className="text-[1.35rem]">
          {OUTCOME_NAMES[ended.outcome]}: {sayCoins(ended.net)} coins
        </h2>
        <p className="mt-1 max-w-2xl text-[1.1rem]">{BETTER[better]}</p>
      </div>
      {hurts ? (
        <Notice tone="caution" title="On the farm">
          <BookText>{hurts}</BookText>
        </Notice>
      ) : null}
      <Band drum={drum} told={told} />
      <Facts drum={drum} told={told} />
      <div>
        <h3 className="font-semibold">Where the coins went</h3>
        <dl className="reading grid max-w-xs grid-cols-[1fr_auto] gap-x-4">
          {(Object.keys(GAIN_NAMES) as (keyof typeof GAIN_NAMES)[]).map((part) => (
            <div key={part} className="contents">
              <dt>{GAIN_NAMES[part]}</dt>
              <dd className="text-right">
                {ended.gain[part] === 0
                  ? "0"
                  : (ended.gain[part] > 0 ? "+" : "−") + Math.abs(ended.gain[part]).toFixed(1)}
              </dd>
            </div>
          ))}
        </dl>
      </div>
      <Signs drum={drum} signs={signs} />
    </section>
  );
};
