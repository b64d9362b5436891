"use client";
import { useState } from "react";
import { Button } from "../kit/Button";
import { sayClock, useNow } from "../kit/Countdown";
import { counted } from "@/formats/grammar";

/** Worms flee the light: so long until the next layer may be scraped off. */
const LIGHT_MIN = 8;

const Running = ({ fromMs, onDone }: { readonly fromMs: number; readonly onDone: () => void }) => {
  const nowMs = useNow(true, fromMs);
  const leftMs = fromMs + LIGHT_MIN * 60_000 - nowMs;
  return (
    <div className="flex items-center justify-between gap-3">
      <p role="timer" className="reading text-3xl font-semibold">
        {leftMs > 0 ? sayClock(leftMs) : "Scrape now"}
      </p>
      <Button variant={leftMs > 0 ? "plain" : "strong"} onClick={onDone}>
        Scraped 5 to 10 mm
      </Button>
    </div>
  );
};

/** Castings without worms: a lamp over the heap, wait, scrape the top off, again and again. */
export const LightTimer = () => {
  const [fromMs, setFromMs] = useState<number | null>(null);
  const [rounds, setRounds] = useState(0);
  return (
    <section aria-label="Separating by light" className="border-l-4 border-marigold bg-marigold-wash px-3 py-2">
      <p>
        Heap it up under a lamp. Worms go down; after {LIGHT_MIN} minutes the top centimetre is clean. Scrape it off,
        wait, scrape again.
        {counted(rounds, { zero: "", one: " # layer so far.", other: " # layers so far." })}
      </p>
      {fromMs === null ? (
        <Button onClick={() => setFromMs(Date.now())}>The lamp is on</Button>
      ) : (
        <Running
          key={fromMs}
          fromMs={fromMs}
          onDone={() => {
            setRounds(rounds + 1);
            setFromMs(Date.now());
          }}
        />
      )}
    </section>
  );
};
