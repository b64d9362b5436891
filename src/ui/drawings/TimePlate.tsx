import type { FitBand } from "@/core/apply/fitHours";
import { clockTime, hourOfDay, midnights, weekday, type FarmClock } from "@/formats/times";
import type { AirPoint } from "@/services/yard";
import { sayBand } from "./bandWords";
import { AHEAD_H, PLATE_H, yOf } from "./timeScale";

const HOUR_MS = 3_600_000;
const NEAR_MS = 48 * HOUR_MS;
/** Below this there is no room for words beside a band, px. */
const WORDS_FROM_PX = 12;

const LABEL_PX = 15;

const BAND_FILL = { leaves: "var(--marigold-wash)", soil: "var(--rain-wash)", none: "transparent" } as const;
/** Midnights within the plate, each with the day that begins. The last is left out where its name would hang over the top. */
const daysBegin = (nowMs: number, clock: FarmClock): { atMs: number; label: string }[] =>
  midnights(nowMs, nowMs + AHEAD_H * HOUR_MS, clock)
    .filter((atMs) => yOf(atMs, nowMs) >= LABEL_PX / 2)
    .map((atMs) => ({ atMs, label: weekday(new Date(atMs), clock) }));

interface PlateProps {
  readonly nowMs: number;
  readonly clock: FarmClock;
  readonly bands: readonly FitBand[];
}

/** Behind all ribbons: fit hours across, day lines, the present at the foot. */
export const BandLayer = ({ nowMs, clock, bands }: PlateProps) => (
  <svg aria-hidden className="absolute inset-x-0 top-0 w-full" height={PLATE_H} preserveAspectRatio="none">
    {bands.map((band) => {
      const top = yOf(band.toMs, nowMs);
      const height = Math.max(2, yOf(band.fromMs, nowMs) - top);
      return <rect key={band.fromMs} x={0} width="100%" y={top} height={height} fill={BAND_FILL[band.fit]} />;
    })}
    {daysBegin(nowMs, clock).map(({ atMs }) => (
      <line key={atMs} x1={0} x2="100%" y1={yOf(atMs, nowMs)} y2={yOf(atMs, nowMs)} stroke="var(--line)" />
    ))}
    <line x1={0} x2="100%" y1={PLATE_H - 0.5} y2={PLATE_H - 0.5} stroke="var(--ink)" />
  </svg>
);

/** Words for the bands of the first two days, at the right margin. */
export const BandWords = ({ nowMs, bands }: Omit<PlateProps, "clock">) => (
  <div className="relative hidden h-0 md:block" aria-hidden>
    {bands
      .filter(
        ({ fromMs, toMs }) => fromMs < nowMs + NEAR_MS && yOf(fromMs, nowMs) - yOf(toMs, nowMs) > WORDS_FROM_PX - 4,
      )
      .map((band) => (
        <span
          key={band.fromMs}
          className="reading absolute right-1 -translate-y-1/2 whitespace-nowrap text-[0.82rem] text-soft"
          style={{ top: (yOf(band.fromMs, nowMs) + yOf(band.toMs, nowMs)) / 2 }}
        >
          {band.because === "unknown" ? band.when : sayBand(band)}
        </span>
      ))}
  </div>
);

/** The axis at the left margin: days, the hours of the first two, and how the air's temperature runs along them. */
export const TimeAxis = ({
  nowMs,
  clock,
  air,
  sayDegrees,
}: Omit<PlateProps, "bands"> & {
  readonly air: readonly AirPoint[];
  readonly sayDegrees: (celsius: number) => string;
}) => {
  const temperatures = air.map(({ airC }) => airC);
  const [low, high] = [Math.min(...temperatures), Math.max(...temperatures)];
  const xOf = (celsius: number) => 4 + (36 * (celsius - low)) / Math.max(1, high - low);
  const points = air
    .filter(({ atMs }) => atMs >= nowMs && atMs <= nowMs + AHEAD_H * HOUR_MS)
    .map(({ airC, atMs }) => `${xOf(airC).toFixed(1)},${yOf(atMs, nowMs).toFixed(1)}`)
    .join(" ");
  const intoDayH = hourOfDay(new Date(nowMs), clock);
  // A label gives way where it would touch another: a day to "now", an hour to either.
  const nowY = PLATE_H - 4;
  const days = daysBegin(nowMs, clock).filter(({ atMs }) => nowY - yOf(atMs, nowMs) > LABEL_PX);
  const taken = [nowY, ...days.map(({ atMs }) => yOf(atMs, nowMs))];
  const hours = Array.from(
    { length: 8 },
    (_, step) => nowMs + ((Math.floor(intoDayH / 6) + 1 + step) * 6 - intoDayH) * HOUR_MS,
  )
    .filter((atMs) => atMs < nowMs + NEAR_MS && Math.round(hourOfDay(new Date(atMs), clock)) % 24 !== 0)
    .filter((atMs) => taken.every((y) => Math.abs(y - yOf(atMs, nowMs)) > LABEL_PX));
  return (
    <div className="relative" style={{ height: PLATE_H }}>
      <svg
        role="img"
        aria-label={`Air from ${sayDegrees(low)} to ${sayDegrees(high)} over ten days`}
        width={44}
        height={PLATE_H}
        className="absolute left-0 top-0 hidden md:block"
      >
        <polyline points={points} fill="none" stroke="var(--soft)" strokeWidth={1.4} />
      </svg>
      {days.map(({ atMs, label }) => (
        <span
          key={atMs}
          className="absolute right-2 -translate-y-1/2 font-display text-[0.9rem] font-bold"
          style={{ top: yOf(atMs, nowMs) }}
        >
          {label}
        </span>
      ))}
      {hours.map((atMs) => (
        <span
          key={atMs}
          className="reading absolute right-2 -translate-y-1/2 text-[0.82rem] text-soft"
          style={{ top: yOf(atMs, nowMs) }}
        >
          {clockTime(new Date(atMs), clock).slice(0, 2)}
        </span>
      ))}
      <span className="reading absolute bottom-[-2px] right-2 text-[0.86rem] font-bold">now</span>
    </div>
  );
};
