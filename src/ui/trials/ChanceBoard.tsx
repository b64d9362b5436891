import { sayChance } from "@/words/said";

/** A hundred trials like this one, each a seed: those that would tell are sprouted. */
export const ChanceBoard = ({
  chance,
  pairs,
  least,
  wanted,
}: {
  readonly chance: number;
  readonly pairs: number;
  readonly least: number;
  /** Pairs that would tell four times in five; null where too many. */
  readonly wanted: number | null;
}) => {
  const told = Math.round(chance * 100);
  return (
    <div className="flex flex-wrap items-center gap-4" role="group" aria-label="How likely it is to tell">
      <svg viewBox="0 0 200 50" className="w-52 shrink-0" aria-hidden>
        {Array.from({ length: 100 }, (_, nth) => {
          const [x, y] = [5 + (nth % 20) * 10, 6 + Math.floor(nth / 20) * 10];
          return nth < told ? (
            <path
              key={nth}
              d={`M${x} ${y + 4}V${y}M${x} ${y}l-3 -3M${x} ${y}l3 -3`}
              stroke="var(--leaf)"
              strokeWidth="1.8"
              fill="none"
            />
          ) : (
            <circle key={nth} cx={x} cy={y + 1} r="1.6" fill="var(--soft)" />
          );
        })}
      </svg>
      <p className="min-w-0 flex-1 basis-56">
        <b>{sayChance(chance, pairs)}</b>{" "}
        {pairs < least
          ? `Fewer than ${least} pairs can never tell.`
          : wanted === null
            ? "To tell such a difference more pairs are needed than a farm lays out."
            : pairs < wanted
              ? `${wanted} pairs would tell four times in five.`
              : "That is enough."}
      </p>
    </div>
  );
};
