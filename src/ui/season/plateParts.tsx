import { weekOf, type Season } from "@/core/plan/season";
import type { Knot, PlateModel } from "./plateModel";
import { GROUND, TOP, yOf, type Span } from "./plateScale";
import { sayDate } from "./seasonSpeech";

const KnotMark = ({
  x,
  y,
  knot,
  ink,
}: {
  readonly x: number;
  readonly y: number;
  readonly knot: Knot;
  readonly ink: string;
}) => {
  const look = { fill: ink, stroke: "var(--limewash)", strokeWidth: 1 };
  if (knot === "circle") return <circle cx={x} cy={y} r={4} {...look} />;
  if (knot === "square") return <rect x={x - 3.5} y={y - 3.5} width={7} height={7} {...look} />;
  const path = knot === "diamond" ? `M ${x} ${y - 5} l 5 5 l -5 5 l -5 -5 Z` : `M ${x} ${y - 5} l 5 9 h -10 Z`;
  return <path d={path} {...look} />;
};

/** Months or weeks at the left, with a line through the cloth for each. */
export const TimeMarks = ({
  season,
  span,
  width,
}: {
  readonly season: Season;
  readonly span: Span;
  readonly width: number;
}) => {
  const step = span.days > 70 ? 28 : span.days > 20 ? 7 : 1;
  const first = Math.ceil(span.from / step) * step;
  const marks = Array.from({ length: Math.ceil(span.days / step) + 1 }, (_, nth) => first + nth * step).filter(
    (day) => day >= span.from && day <= span.from + span.days,
  );
  return (
    <g aria-hidden>
      {marks.map((day) => (
        <g key={day}>
          <line x1={66} x2={width - 60} y1={yOf(span, day)} y2={yOf(span, day)} stroke="var(--line)" />
          <text x={60} y={yOf(span, day) + 4} textAnchor="end" className="fill-ink text-[15px] font-semibold">
            {sayDate(season, day)}
          </text>
        </g>
      ))}
    </g>
  );
};

/** A turned post: as wide as what is kept of an input on each day. */
export const StorePost = ({
  level,
  x,
  span,
  ink,
  mostL,
}: {
  readonly level: Float64Array;
  readonly x: number;
  readonly span: Span;
  readonly ink: string;
  readonly mostL: number;
}) => {
  const points: string[] = [];
  const half = (day: number): number => 1 + (20 * Math.max(0, level[Math.min(level.length - 1, day)] ?? 0)) / mostL;
  const last = Math.min(level.length - 1, Math.floor(span.from + span.days));
  for (let day = Math.max(0, span.from); day <= last; day += 1) points.push(`${x - half(day)},${yOf(span, day)}`);
  for (let day = last; day >= Math.max(0, span.from); day -= 1) points.push(`${x + half(day)},${yOf(span, day)}`);
  return (
    <polygon points={points.join(" ")} fill={ink} opacity={0.6} stroke="var(--ink)" strokeWidth={0.8} aria-hidden />
  );
};

/** Hours by week at the margin, with the mark of what there is. */
export const Hands = ({
  season,
  span,
  weekMin,
  width,
}: {
  readonly season: Season;
  readonly span: Span;
  readonly weekMin: readonly number[];
  readonly width: number;
}) => {
  const most = Math.max(1, ...season.labour.weekMin, ...weekMin);
  const x = width - 52;
  return (
    <g aria-hidden>
      <text x={x} y={TOP - 8} className="fill-soft text-[13px]">
        hours
      </text>
      {weekMin.map((minutes, week) => {
        const [low, high] = [yOf(span, week * 7), yOf(span, week * 7 + 7)];
        if (low > GROUND + 1 || high < TOP - 1 || minutes === 0) return null;
        const there = season.labour.weekMin[week] ?? 0;
        return (
          <rect
            key={week}
            x={x}
            y={high + 1}
            width={(44 * minutes) / most}
            height={Math.max(1, low - high - 2)}
            fill={minutes > there + 0.5 ? "var(--rust)" : "var(--galvanised)"}
          />
        );
      })}
      <line
        x1={x + (44 * (season.labour.weekMin[weekOf(season.nowDay)] ?? 0)) / most}
        x2={x + (44 * (season.labour.weekMin[weekOf(season.nowDay)] ?? 0)) / most}
        y1={TOP}
        y2={GROUND}
        stroke="var(--ink)"
        strokeDasharray="3 3"
      />
    </g>
  );
};

export const LaneFoot = ({ x, name, nth }: { readonly x: number; readonly name: string; readonly nth: number }) => (
  <text x={x} y={GROUND + 22 + (nth % 3) * 17} textAnchor="middle" className="fill-ink text-[13px]">
    {name.length > 15 ? `${name.slice(0, 14)}…` : name}
  </text>
);

/** Applications as threads from where they are drawn to their beds, and what is missing as struck rings. */
export const Threads = ({ model, span }: { readonly model: PlateModel; readonly span: Span }) => {
  const isSeen = (day: number): boolean => day >= span.from && day <= span.from + span.days;
  return (
    <g aria-hidden>
      {model.threads
        .filter(({ day }) => isSeen(day))
        .map(({ key, day, input, fromX, toX, litres }) => (
          <g key={key}>
            <line
              x1={fromX}
              x2={toX}
              y1={yOf(span, day)}
              y2={yOf(span, day)}
              stroke={model.inkOf(input)}
              strokeWidth={Math.min(4, 0.8 + Math.sqrt(litres) / 4)}
              opacity={0.55}
            />
            <KnotMark x={toX} y={yOf(span, day)} knot={model.knotOf(input)} ink={model.inkOf(input)} />
          </g>
        ))}
      {model.gaps
        .filter(({ day }) => isSeen(day))
        .map(({ key, day, x, needs }) => (
          <g key={key} stroke="var(--rust)" strokeWidth={2} fill="var(--limewash)">
            <title>{`${needs.length} not met`}</title>
            <circle cx={x + 9} cy={yOf(span, day)} r={6} />
            <line x1={x + 5} x2={x + 13} y1={yOf(span, day) + 4} y2={yOf(span, day) - 4} />
          </g>
        ))}
    </g>
  );
};
