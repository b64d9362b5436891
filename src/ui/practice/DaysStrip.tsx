import { clockAt, dayAt, type PracticeDrum } from "@/core/practice/drum/setup";

const HOUR_PX = 3;
const DAY_PX = 24 * HOUR_PX;

/** Days and nights that slide by; moved by the compositor alone, so that it stays smooth on a slow phone. */
export const DaysStrip = ({ drum, hour }: { readonly drum: PracticeDrum; readonly hour: number }) => {
  const days = Math.ceil((drum.startHour + drum.untilH) / 24) + 1;
  const now = drum.startHour + hour;
  return (
    <div
      className="relative h-12 overflow-hidden border-y border-line"
      role="timer"
      aria-label={`Day ${dayAt(drum, hour)}, ${clockAt(drum, hour)} o’clock`}
    >
      <div
        aria-hidden
        className="absolute inset-y-0 left-1/2 flex transition-transform duration-700 ease-out will-change-transform motion-reduce:transition-none"
        style={{ transform: `translateX(${-now * HOUR_PX}px)` }}
      >
        {Array.from({ length: days }, (_, day) => (
          <div
            key={day}
            className="relative h-full shrink-0 border-l border-line"
            style={{
              width: DAY_PX,
              background:
                "linear-gradient(90deg, var(--galvanised) 0 22%, var(--chalk) 32% 72%, var(--galvanised) 84% 100%)",
            }}
          >
            <span className="reading absolute left-1 top-0 text-[0.85rem] text-soft">{day + 1}</span>
          </div>
        ))}
      </div>
      <div aria-hidden className="absolute inset-y-0 left-1/2 w-0.5 bg-rust" />
    </div>
  );
};
