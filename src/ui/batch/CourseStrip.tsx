"use client";
import { type FarmClock } from "@/formats/times";
import { sayCourse } from "@/words/said";
import type { Course } from "@/services/ferment";
import { RibbonStrip } from "../drawings/plate/RibbonStrip";
import { acrossPlate, PLATE_W, timeTicks } from "../drawings/plate/scale";

/** As many times as fit under a strip on a phone. */
const TICKS_SHOWN = 5;

export const Strip = ({
  title,
  course,
  nowMs,
  fromMs,
  toMs,
  id,
  clock,
}: {
  readonly title: string;
  readonly course: Course;
  readonly nowMs: number;
  readonly fromMs: number;
  readonly toMs: number;
  readonly id: string;
  readonly clock: FarmClock;
}) => {
  const drawn = { x: acrossPlate(fromMs, toMs), fromMs, toMs, nowMs };
  const words = sayCourse(course.window, nowMs, clock);
  const all = timeTicks(drawn, clock);
  const ticks = all.filter((_, index) => index % Math.ceil(all.length / TICKS_SHOWN) === 0);
  const { start, peak } = course.window;
  return (
    <figure className="mt-4">
      <figcaption className="flex flex-wrap items-baseline justify-between gap-x-4">
        <span className="font-semibold">{title}</span>
        <span className="reading text-[0.95rem]">{words}</span>
      </figcaption>
      <svg role="img" aria-label={`${title}: ${words}`} viewBox={`0 0 ${PLATE_W} 96`} className="block w-full">
        <RibbonStrip
          id={id}
          scale={drawn}
          points={course.ribbon}
          bestMs={peak.p50}
          lost={start.p50 === null && course.never > 0.5}
          top={2}
          height={86}
        />
        <line x1={drawn.x(nowMs)} x2={drawn.x(nowMs)} y1={0} y2={92} stroke="var(--ink)" strokeWidth={2} />
        {ticks.map(({ atMs }) => (
          <line key={atMs} x1={drawn.x(atMs)} x2={drawn.x(atMs)} y1={84} y2={96} stroke="var(--soft)" strokeWidth={2} />
        ))}
      </svg>
      <p aria-hidden className="reading relative h-5 text-[0.8rem] text-soft">
        {ticks.map(({ atMs, text }) => (
          <span
            key={atMs}
            className="absolute -translate-x-1/2 whitespace-nowrap"
            style={{ left: `${(100 * drawn.x(atMs)) / PLATE_W}%` }}
          >
            {text}
          </span>
        ))}
      </p>
    </figure>
  );
};
