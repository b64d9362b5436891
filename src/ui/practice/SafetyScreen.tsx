"use client";
import { useState } from "react";
import { findMethod } from "@/core/book";
import { CAUTIONS, type CautionId } from "@/core/book/cautions";
import { drawCautionCard } from "@/core/practice/cautionCards";
import { usePracticeAct } from "../acts/practice";
import { BookText } from "../kit/BookText";
import { Button } from "../kit/Button";
import { CAUTION_ICONS } from "../kit/Cautions";
import { PracticeHead } from "./PracticeHead";

/** The first sentence of a caution: enough to choose by. */
const short = (caution: CautionId): string => `${CAUTIONS[caution].split(/\. /)[0]!.replace(/\.$/, "")}.`;

const Options = ({
  options,
  right,
  said,
  onChoose,
}: {
  readonly options: readonly CautionId[];
  readonly right: CautionId;
  readonly said: CautionId | null;
  readonly onChoose: (caution: CautionId) => void;
}) => (
  <ul aria-labelledby="asked" className="mt-3 grid gap-3">
    {options.map((caution) => {
      const Icon = CAUTION_ICONS[caution];
      const look =
        said === null
          ? "border-ink bg-chalk hover:bg-marigold-wash"
          : caution === right
            ? "border-leaf bg-leaf-wash"
            : caution === said
              ? "border-rust bg-rust-wash"
              : "border-line bg-limewash";
      return (
        <li key={caution}>
          <button
            type="button"
            disabled={said !== null}
            onClick={() => onChoose(caution)}
            className={`flex min-h-14 w-full items-center gap-3 rounded-[5px] border-2 px-3 py-2 text-left text-[1.1rem] text-ink ${look}`}
          >
            {Icon ? (
              <Icon aria-hidden className="size-8 shrink-0" />
            ) : (
              <span aria-hidden className="text-2xl">
                ▲
              </span>
            )}
            <BookText>{short(caution)}</BookText>
          </button>
        </li>
      );
    })}
  </ul>
);

/** Which danger belongs to a method; the whole caution is told with the answer. */
export const SafetyScreen = ({ isKept, firstSeed }: { readonly isKept: boolean; readonly firstSeed: number }) => {
  const [nth, setNth] = useState(0);
  const [said, setSaid] = useState<CautionId | null>(null);
  const [right, setRight] = useState(0);
  const log = usePracticeAct("logPracticeCaution");
  const seed = firstSeed + nth;
  const card = drawCautionCard(seed);
  const choose = (caution: CautionId) => {
    if (said !== null) return;
    setSaid(caution);
    if (caution === card.right) setRight(right + 1);
    if (isKept) void log.run({ seed, said: caution });
  };
  return (
    <div className="max-w-2xl px-4 py-5 md:px-8">
      <PracticeHead title="Safety" />
      <p className="text-soft">
        {right} of {said === null ? nth : nth + 1} right
      </p>
      <h2 id="asked" className="mt-4 text-[1.35rem]">
        {findMethod(card.methodId).name}: which of these belongs to it?
      </h2>
      <Options options={card.options} right={card.right} said={said} onChoose={choose} />
      <div aria-live="polite" className="mt-4">
        {said !== null ? (
          <>
            <p className="font-semibold">{said === card.right ? "Right." : "That one belongs to other work."}</p>
            <p className="mt-1 border-l-4 border-marigold bg-marigold-wash px-3 py-2">
              <BookText>{CAUTIONS[card.right]}</BookText>
            </p>
            <Button
              variant="strong"
              className="mt-3"
              autoFocus
              onClick={() => {
                setNth(nth + 1);
                setSaid(null);
              }}
            >
              Next one
            </Button>
          </>
        ) : null}
      </div>
    </div>
  );
};
