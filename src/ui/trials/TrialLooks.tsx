"use client";
import { clsx } from "clsx";
import { counted } from "@/formats/grammar";
import { sayDay } from "@/formats/times";
import { formatNumber } from "@/formats/numbers";
import type { ArmAnswer } from "@/core/trial";
import type { TrialLookView, TrialView } from "@/services/trials";
import { CONFOUNDERS, type Confounder } from "@/core/trial/terms";
import {
  sayConfounderEffect,
  saySeasons,
  sayTrialDifference,
  sayTrialReason,
  sayTrialVerdict,
  VERDICT_NAMES,
} from "@/words/said";
import { armName } from "./armLook";
import { PairLines } from "./PairLines";

const MARKS = {
  "likely-helped": "▲",
  "likely-harmed": "▼",
  "likely-no-large-difference": "≈",
  "cannot-tell": "?",
  "withheld": "…",
} as const;

/** Where the difference lies, with its span, over the ground of what would matter. */
const Span = ({ answer, view }: { readonly answer: ArmAnswer; readonly view: TrialView }) => {
  const { low, high, estimate } = answer;
  const { terms } = view;
  if (low === null || high === null) return null;
  const centre = terms.scale === "ordinal" ? 0.5 : 0;
  const matters = terms.smallest ?? 0;
  const reach = Math.max(Math.abs(low - centre), Math.abs(high - centre), matters) * 1.15 || 1;
  const x = (value: number): number => 150 + (140 * (value - centre)) / reach;
  const said = `${sayTrialDifference(estimate, terms)}, likely between ${sayTrialDifference(low, terms)} and ${sayTrialDifference(high, terms)}`;
  return (
    <svg viewBox="0 0 300 54" className="w-full max-w-md" role="img" aria-label={said}>
      {matters > 0 ? (
        <rect
          x={x(centre - matters)}
          width={x(centre + matters) - x(centre - matters)}
          y={6}
          height={28}
          fill="var(--limewash)"
          stroke="var(--line)"
        />
      ) : null}
      <path d={`M${x(centre)} 2V38`} stroke="var(--soft)" strokeWidth="1.5" />
      <path d={`M${x(low)} 20H${x(high)}M${x(low)} 14V26M${x(high)} 14V26`} stroke="var(--ink)" strokeWidth="3" />
      <circle cx={x(estimate)} cy={20} r="6" fill="var(--ink)" />
      <g fontSize="12" fill="var(--soft)">
        <text x={4} y={50}>
          less
        </text>
        <text x={x(centre)} y={50} textAnchor="middle">
          {matters > 0 ? "too small to matter" : "no difference"}
        </text>
        <text x={296} y={50} textAnchor="end">
          more
        </text>
      </g>
    </svg>
  );
};

const Verdict = ({
  answer,
  view,
  look,
}: {
  readonly answer: ArmAnswer;
  readonly view: TrialView;
  readonly look: TrialLookView;
}) => {
  const { terms } = view;
  const input = terms.inputs.find(({ arm }) => arm === answer.arm)!;
  // The sentence of the verdict says by itself where there are too few.
  const reasons = answer.reasons
    .filter((reason) => reason !== "too-few-to-tell-at-all")
    .map((reason) => {
      const effect = CONFOUNDERS[reason as Confounder]?.[answer.seen === "no-large" ? "none" : "claim"];
      return [sayTrialReason(reason) ?? "", ...(effect ? [sayConfounderEffect(effect)] : [])].join(" ");
    });
  return (
    <article className="border-t-2 border-ink pt-2">
      <h3 className="text-xl">
        <span aria-hidden className={clsx("mr-2", answer.verdict === "likely-harmed" && "text-rust")}>
          {MARKS[answer.verdict]}
        </span>
        {view.terms.inputs.length > 1 ? `${input.name}: ` : ""}
        {VERDICT_NAMES[answer.verdict]}
      </h3>
      <p className="mt-1">{sayTrialVerdict(answer, terms, input.name)}</p>
      {reasons.length > 0 ? (
        <ul className="mt-1 list-disc pl-5">
          {reasons.map((reason) => (
            <li key={reason}>{reason}</li>
          ))}
        </ul>
      ) : null}
      <Span answer={answer} view={view} />
      {answer.seasons && answer.seasons.k > 1 ? (
        <div className="mt-1">
          <p>{saySeasons(answer.seasons, terms)}</p>
          <ul className="text-[0.92rem] text-soft" aria-label="Season by season">
            {answer.seasons.parts.map(({ season, pairs, estimate }) => (
              <li key={season}>
                {season}: {counted(pairs, { one: "one pair", other: "# pairs" })}, {sayTrialDifference(estimate, terms)}
              </li>
            ))}
          </ul>
        </div>
      ) : null}
      <div className="mt-3">
        <PairLines asked={look.asked} answer={answer} terms={terms} />
      </div>
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5 text-soft">How it was worked out</summary>
        <p className="text-[0.92rem] text-soft">
          {answer.method === "bets"
            ? "By bets on the sign of each pair, which may be looked at any time."
            : `${formatNumber(answer.arrangements)} draws were possible. In ${formatNumber(100 * answer.p, 2)} of 100 of them the strips would have differed so much with nothing acting; at this look it must be below ${formatNumber(100 * answer.levelNow, 2)}.`}{" "}
          {answer.blocks} compared
          {look.answer.left.length > 0
            ? `, ${look.answer.left.length} left out (${look.answer.left.map(({ reason }) => reason).join("; ")})`
            : ""}
          . It speaks of {armName(answer.arm, terms)} on these beds in this season, of nothing else.
        </p>
      </details>
    </article>
  );
};

/** What was seen at the last look and what may be said of it; the looks before in a line each. */
export const TrialLooks = ({ view }: { readonly view: TrialView }) => {
  const last = view.looks.at(-1);
  const read = view.blocks.filter(({ isRead }) => isRead).length;
  return (
    <div>
      <h2 className="text-2xl">What may be said</h2>
      {last ? (
        <>
          <p className="text-soft">
            Looked at on {sayDay(last.on)} by {last.by}.{view.mayLook ? " More was read since." : ""}
          </p>
          {last.answer.arms.map((answer) => (
            <Verdict key={answer.arm} answer={answer} view={view} look={last} />
          ))}
        </>
      ) : (
        <p>
          Nobody has looked yet. {counted(read, { zero: "No pair is", one: "One pair is", other: "# pairs are" })} read
          of {view.blocks.length}.
        </p>
      )}
      {view.looks.length > 1 ? (
        <ul className="mt-2 text-[0.92rem] text-soft" aria-label="Looks before">
          {view.looks.slice(0, -1).map((look) => (
            <li key={look.entryId}>
              {sayDay(look.on)}, {look.answer.arms[0]!.blocks} compared:{" "}
              {look.answer.arms.map(({ verdict }) => VERDICT_NAMES[verdict]).join("; ")}
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
};
