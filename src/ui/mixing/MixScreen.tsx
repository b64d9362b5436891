"use client";
import { Link } from "../kit/Link";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { told } from "../kit/told";
import type { MixingView } from "@/services/mixing";
import { useMixingAct } from "../acts/mixing";
import { useUndo } from "../acts/undo";
import { useRefreshing } from "../frame/useRefreshing";
import { Button, buttonClass } from "../kit/Button";
import { Cautions } from "../kit/Cautions";
import { useNow } from "../kit/Countdown";
import { Notice } from "../kit/Notice";
import { FinishPanel } from "./FinishPanel";
import { MixLadder } from "./MixLadder";
import { MixLog } from "./MixLog";
import { StepCard } from "./StepCard";
import { WaitPanel } from "./WaitPanel";
import { inText } from "@/formats/grammar";

/** Looked at again by itself, since another device may tick too. */
const LOOK_AGAIN_MS = 15_000;

/** A mixing that is over. */
const Ended = ({ name, batchId }: { readonly name: string; readonly batchId: number | null }) => (
  <div className="mx-auto max-w-xl px-4 py-8">
    <h1 className="text-2xl">{name}</h1>
    <p className="mt-2">{batchId === null ? "This filling was cancelled." : "This is filled, and the batch runs."}</p>
    <Link href={batchId === null ? "/" : `/batches/${batchId}`} className={`${buttonClass("strong")} mt-4`}>
      {batchId === null ? "Back to the yard" : "To the batch"}
    </Link>
  </div>
);

/** Asked once more before a mixing is given up. */
const GiveUp = ({ onGiveUp, onStay }: { readonly onGiveUp: () => void; readonly onStay: () => void }) => (
  <div className="mt-2">
    <Notice tone="caution" title="Cancel this filling?">
      <p>Your ticks are kept as a record. No stock is used.</p>
      <div className="mt-2 flex gap-2">
        <Button variant="danger" onClick={onGiveUp}>
          Cancel filling
        </Button>
        <Button onClick={onStay}>Go on</Button>
      </div>
    </Notice>
  </div>
);

/** Ticking, giving up, and the next thing brought into sight. */
function useMixing(view: MixingView) {
  const router = useRouter();
  const tick = useMixingAct("tickMixing");
  const drop = useMixingAct("dropMixing", "toast");
  const undo = useUndo();
  const [leaving, setLeaving] = useState(false);
  const [skipped, setSkipped] = useState<number | null>(null);
  const { progress } = view;
  const nowMs = useNow(progress.waitingUntilMs !== null, view.nowMs);
  useRefreshing(LOOK_AGAIN_MS);

  // The next thing to do is in sight without a wet finger on the screen.
  const nextKey = progress.next?.step.key ?? "end";
  const shown = useRef(nextKey);
  useEffect(() => {
    if (shown.current === nextKey) return;
    shown.current = nextKey;
    window.scrollTo({ top: 0 });
  }, [nextKey]);

  const send = async (
    stepKey: string,
    kind: "done" | "undone" | "round",
    said: { amount?: number | null; answer?: string | null; checks?: string[] } = {},
  ) => {
    const answer = await tick.run({
      mixingId: view.id,
      stepKey,
      kind,
      amount: said.amount ?? null,
      answer: said.answer ?? null,
      checks: said.checks ?? [],
    });
    if (answer) router.refresh();
    return answer !== null;
  };
  const giveUp = async () => {
    if (!(await drop.run({ mixingId: view.id }))) return;
    told("Filling cancelled. No stock was used.", undo({ kind: "filling-drop", id: view.id }));
    router.push("/");
  };
  return { tick, send, giveUp, leaving, setLeaving, skipped, setSkipped, nowMs };
}

/** What is mixed, how far, on paper, given up. */
const MixHead = ({
  view,
  at,
  leaving,
  onLeave,
}: {
  readonly view: MixingView;
  readonly at: number;
  readonly leaving: boolean;
  readonly onLeave: () => void;
}) => (
  <div className="flex items-start justify-between gap-3">
    <div>
      <h1 className="text-xl">
        {view.recipeName} in {view.vesselName}
      </h1>
      <p className="reading text-soft">
        {Math.min(at + 1, view.progress.steps.length)} of {view.progress.steps.length}
      </p>
    </div>
    <div className="flex">
      <Link href={`/paper/mixing?id=${view.id}`} className={buttonClass("quiet")}>
        Print list
      </Link>
      <Button variant="quiet" aria-expanded={leaving} onClick={onLeave}>
        Cancel
      </Button>
    </div>
  </div>
);

/** The fill as a sequence for wet hands: one thing at a time, large; whoever opens it goes on where it stands. */
export const MixScreen = ({ view }: { readonly view: MixingView }) => {
  const { tick, send, giveUp, leaving, setLeaving, skipped, setSkipped, nowMs } = useMixing(view);
  const { progress } = view;
  const waiting =
    progress.waitingUntilMs !== null && progress.waitingUntilMs > nowMs && progress.waitingUntilMs !== skipped;
  const waitingFor = progress.steps.find(({ waitUntilMs }) => waitUntilMs === progress.waitingUntilMs);
  const at = progress.next ? progress.steps.indexOf(progress.next) : progress.steps.length;
  const lastDone = progress.steps
    .filter(({ done }) => done !== null)
    .toSorted((a, b) => b.done!.atMs - a.done!.atMs)[0];

  if (view.end) return <Ended name={view.recipeName} batchId={view.end.batchId} />;
  return (
    <div className="mx-auto max-w-2xl px-4 py-4">
      <MixHead view={view} at={at} leaving={leaving} onLeave={() => setLeaving(!leaving)} />
      {leaving ? <GiveUp onGiveUp={() => void giveUp()} onStay={() => setLeaving(false)} /> : null}
      <MixLadder progress={progress} />
      {at === 0 && view.gaps.length > 0 ? (
        <div className="mt-3">
          <Notice tone="caution" title="Before you begin">
            <ul>
              {view.gaps.map(({ say }) => (
                <li key={say}>{say}</li>
              ))}
            </ul>
          </Notice>
        </div>
      ) : null}
      <div className="mt-4">
        {waiting && waitingFor ? (
          <WaitPanel
            state={waitingFor}
            untilMs={progress.waitingUntilMs!}
            nowMs={nowMs}
            onSkip={() => setSkipped(progress.waitingUntilMs)}
          />
        ) : progress.next ? (
          <StepCard
            key={`${progress.next.step.key} ${progress.next.rounds}`}
            state={progress.next}
            units={view.farm.units}
            busy={tick.busy}
            error={tick.error}
            onDone={(said) => send(progress.next!.step.key, "done", said)}
            onRound={(said) => send(progress.next!.step.key, "round", said)}
          />
        ) : (
          <FinishPanel view={view} />
        )}
      </div>
      {lastDone ? (
        <Button
          variant="quiet"
          className="-ml-3 mt-2"
          disabled={tick.busy}
          onClick={() => void send(lastDone.step.key, "undone")}
        >
          Undo: {inText(lastDone.step.title)}
        </Button>
      ) : null}
      <MixLog progress={progress} view={view} />
      <section aria-label="Safety" className="mt-6 grid gap-2">
        <h2 className="text-lg">Mind</h2>
        <Cautions cautions={view.cautions} />
        <p className="text-[0.88rem] text-soft">Follow local law, your certifier and qualified electricians first.</p>
      </section>
    </div>
  );
};
