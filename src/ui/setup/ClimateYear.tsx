import { area, curveMonotoneX, line } from "d3-shape";
import { DAY_NIGHT_HALF_C, usualAir, type Climate } from "@/core/weather/climate";
import { sayTemperature, type UnitSystem } from "@/formats/amounts";

const WIDE = 440;
const HIGH = 150;
const LEFT = 46;
const FOOT = 22;
const TOP = 10;
const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
/** The middle of each month of an ordinary year, and the ends of the year. */
const DAYS = [0, 15, 46, 75, 106, 136, 167, 197, 228, 259, 289, 320, 350, 365];
const dayAt = (day: number) => new Date(Date.UTC(2031, 0, 1 + day));

/** The year of a climate: nights below, afternoons above, frost and the warmth that brews like marked. */
export const ClimateYear = ({ climate, units }: { readonly climate: Climate; readonly units: UnitSystem }) => {
  const points = DAYS.map((day) => ({ day, meanC: usualAir(dayAt(day), climate).meanC }));
  const lowC = Math.min(-5, ...points.map(({ meanC }) => meanC - DAY_NIGHT_HALF_C));
  const highC = Math.max(30, ...points.map(({ meanC }) => meanC + DAY_NIGHT_HALF_C));
  const x = (day: number) => LEFT + (day / 365) * (WIDE - LEFT);
  const y = (celsius: number) => TOP + ((highC - celsius) / (highC - lowC)) * (HIGH - TOP - FOOT);
  const band = area<(typeof points)[number]>()
    .x(({ day }) => x(day))
    .y0(({ meanC }) => y(meanC - DAY_NIGHT_HALF_C))
    .y1(({ meanC }) => y(meanC + DAY_NIGHT_HALF_C))
    .curve(curveMonotoneX);
  const middle = line<(typeof points)[number]>()
    .x(({ day }) => x(day))
    .y(({ meanC }) => y(meanC))
    .curve(curveMonotoneX);
  const warmest = points.reduce((a, b) => (b.meanC > a.meanC ? b : a));
  const coldest = points.reduce((a, b) => (b.meanC < a.meanC ? b : a));
  const said = (celsius: number) => sayTemperature(Math.round(celsius), units);
  return (
    <svg
      role="img"
      aria-label={`The year’s usual air: from ${said(coldest.meanC - DAY_NIGHT_HALF_C)} in a cold night to ${said(warmest.meanC + DAY_NIGHT_HALF_C)} in a warm afternoon`}
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full"
    >
      {[0, 10, 20, 30].map((celsius) => (
        <g key={celsius}>
          <path
            d={`M${LEFT} ${y(celsius)}H${WIDE}`}
            stroke={celsius === 0 ? "var(--ink)" : "var(--line)"}
            strokeDasharray={celsius === 0 ? undefined : "2 4"}
          />
          <text x={LEFT - 6} y={y(celsius) + 4} textAnchor="end" fontSize={12} fill="var(--soft)" className="reading">
            {said(celsius)}
          </text>
        </g>
      ))}
      <path d={band(points) ?? ""} fill="var(--marigold)" opacity={0.28} />
      <path d={middle(points) ?? ""} fill="none" stroke="var(--ink)" strokeWidth={2} />
      {MONTHS.map((month, index) => (
        <text key={month} x={x(DAYS[index + 1]!)} y={HIGH - 6} textAnchor="middle" fontSize={12} fill="var(--soft)">
          {month}
        </text>
      ))}
    </svg>
  );
};
