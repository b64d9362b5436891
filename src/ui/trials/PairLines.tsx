import type { ArmAnswer, Trial } from "@/core/trial";
import type { TrialTerms } from "@/core/trial/farm";
import { formatNumber } from "@/formats/numbers";
import { RowsTable } from "../kit/RowsTable";
import { armName } from "./armLook";

const [WIDTH, HEIGHT, LEFT, RIGHT, TOP, FOOT] = [420, 250, 96, 324, 14, 26];

interface Line {
  readonly id: string;
  readonly without: number;
  readonly with: number;
}
const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
const numberOf = (value: number | readonly number[] | null | undefined): number =>
  typeof value === "number" ? value : mean(value ?? []);

/** A line a pair, out of what was judged: as it was read, by area where that counts; of a change, from before to after. */
export function linesOf({ pairs, readings, design }: Trial, arm: string): Line[] {
  if (pairs)
    return pairs.flatMap((pair) =>
      pair.leftOut === undefined
        ? [
            {
              id: String(pair.id),
              without: numberOf(pair.without) / (pair.areaWithout ?? 1),
              with: numberOf(pair.with) / (pair.areaWith ?? 1),
            },
          ]
        : [],
    );
  const valueOf = (one: NonNullable<Trial["readings"]>[number]): number =>
    design === "baci" ? one.after! - one.before! : numberOf(one.value);
  const blocks = [...new Set((readings ?? []).map(({ block }) => block))];
  return blocks.flatMap((block) => {
    const of = (wanted: string): number[] =>
      (readings ?? []).filter((one) => one.block === block && one.arm === wanted).map(valueOf);
    const [treated, control] = [of(arm), of("without")];
    return treated.length > 0 && control.length > 0
      ? [{ id: String(block), without: mean(control), with: mean(treated) }]
      : [];
  });
}

/** Better each time, or once? A line for each pair from the strip without to the strip with; the mean of them thick. */
export const PairLines = ({
  asked,
  answer,
  terms,
}: {
  readonly asked: Trial;
  readonly answer: ArmAnswer;
  readonly terms: TrialTerms;
}) => {
  const lines = linesOf(asked, answer.arm);
  const values = lines.flatMap((line) => [line.without, line.with]);
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const room = high - low || Math.abs(high) || 1;
  const y = (value: number): number => TOP + (HEIGHT - TOP - FOOT) * (1 - (value - low) / room);
  const middle = { without: mean(lines.map(({ without }) => without)), with: mean(lines.map((one) => one.with)) };
  const upward = lines.filter((line) => line.with > line.without).length;
  const said = `${upward} of ${lines.length} higher with it. Mean ${formatNumber(middle.without)} without, ${formatNumber(middle.with)} with.`;
  return (
    <figure>
      <figcaption className="text-[1.05rem] font-semibold">Better each time, or once?</figcaption>
      <p className="text-soft">{said}</p>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-xl" role="img" aria-label={said}>
        <path
          d={`M${LEFT} ${TOP - 6}V${HEIGHT - FOOT + 6}M${RIGHT} ${TOP - 6}V${HEIGHT - FOOT + 6}`}
          stroke="var(--line)"
          strokeWidth="2"
        />
        {lines.map((line) => {
          const isUp = line.with > line.without;
          return (
            <g key={line.id}>
              <path
                d={`M${LEFT} ${y(line.without)}L${RIGHT} ${y(line.with)}`}
                stroke={isUp ? "var(--leaf)" : "var(--rust)"}
                strokeDasharray={isUp ? undefined : "5 4"}
                strokeWidth="1.8"
              />
              <circle cx={LEFT} cy={y(line.without)} r="4" fill="var(--chalk)" stroke="var(--ink)" strokeWidth="1.5" />
              <circle cx={RIGHT} cy={y(line.with)} r="4" fill="var(--ink)" />
            </g>
          );
        })}
        <path
          d={`M${LEFT} ${y(middle.without)}L${RIGHT} ${y(middle.with)}`}
          stroke="var(--ink)"
          strokeWidth="5"
          strokeLinecap="round"
        />
        <g fontSize="13" fill="var(--ink)" fontFamily="var(--font-reading)">
          <text x={LEFT - 12} y={y(middle.without) + 4} textAnchor="end">
            {formatNumber(middle.without)}
          </text>
          <text x={RIGHT + 12} y={y(middle.with) + 4}>
            {formatNumber(middle.with)}
          </text>
        </g>
        <g fontSize="13" fill="var(--soft)">
          <text x={LEFT} y={HEIGHT - 6} textAnchor="middle">
            without
          </text>
          <text x={RIGHT} y={HEIGHT - 6} textAnchor="middle">
            {armName(answer.arm, terms)}
          </text>
        </g>
      </svg>
      <RowsTable
        name="trial-pairs"
        heads={["Pair", "without", "with"]}
        rows={lines.map((line) => [line.id, formatNumber(line.without), formatNumber(line.with)])}
      />
    </figure>
  );
};
