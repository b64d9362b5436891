import { sayMoney } from "@/formats/amounts";
import type { LedgerView } from "@/services/ledger";
import { Link } from "../kit/Link";
import { sayLossCause } from "@/words/said";

/** Parts of all that was spent, with the look that tells each apart: colour is never alone. */
const PARTS = [
  { key: "onPlotsMinor", label: "on beds", fill: "var(--leaf)" },
  { key: "onHandMinor", label: "in stores, or in other batches", fill: "var(--marigold)" },
  { key: "runningMinor", label: "still running", fill: "url(#running-hatch)" },
  { key: "lostMinor", label: "lost", fill: "url(#lost-hatch)" },
] as const;
const [WIDTH, HEIGHT] = [400, 34];

/** Where all is that was spent on batches and on applying them: what goes in comes out, to the last coin; what was lost with its cause. */
export const WhereItIs = ({ view: { where, losses, farm } }: { readonly view: LedgerView }) => {
  const whole = where.batchesMinor + where.labourMinor;
  if (whole === 0) return null;
  const money = (minor: number): string => sayMoney(minor, farm.currency);
  const parts = PARTS.filter(({ key }) => where[key] > 0);
  const left = (nth: number): number =>
    parts.slice(0, nth).reduce((sum, { key }) => sum + (WIDTH * where[key]) / whole, 0);
  return (
    <section aria-labelledby="where-it-is" className="mb-8">
      <h2 id="where-it-is" className="text-2xl">
        Where it all is
      </h2>
      <p className="text-soft">
        {money(where.batchesMinor)} for batches and {money(where.labourMinor)} for the work of applying.
      </p>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="mt-2 w-full" aria-hidden>
        <defs>
          <pattern id="running-hatch" width="6" height="6" patternUnits="userSpaceOnUse">
            <rect width="6" height="6" fill="var(--chalk)" />
            <path d="M0 3 H6" stroke="var(--blue)" strokeWidth="2" />
          </pattern>
          <pattern id="lost-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" fill="var(--chalk)" />
            <path d="M0 0 V6" stroke="var(--rust)" strokeWidth="5" />
          </pattern>
        </defs>
        {parts.map(({ key, fill }, nth) => (
          <rect
            key={key}
            x={left(nth)}
            y={1}
            width={(WIDTH * where[key]) / whole}
            height={HEIGHT - 2}
            fill={fill}
            stroke="var(--ink)"
          />
        ))}
      </svg>
      <ul className="mt-1 divide-y divide-line border-b border-line">
        {parts.map(({ key, label, fill }) => (
          <li key={key} className="flex items-center justify-between gap-3 py-1.5">
            <span className="flex items-center gap-2">
              <svg width="18" height="14" aria-hidden>
                <rect x={1} y={1} width={16} height={12} fill={fill} stroke="var(--ink)" />
              </svg>
              {label}
            </span>
            <span className="reading">{money(where[key])}</span>
          </li>
        ))}
      </ul>
      {losses.length > 0 ? (
        <details className="mt-1">
          <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">What was lost, and why</summary>
          <ul className="divide-y divide-line border-y border-line text-[0.92rem]">
            {losses.map(({ batchId, name, cause, costMinor }, nth) => (
              <li key={`${batchId}-${nth}`} className="flex justify-between gap-3 py-1">
                <span>
                  <Link href={`/batches/${batchId}`} className="thumb underline decoration-line underline-offset-4">
                    {name}, batch {batchId}
                  </Link>
                  : {sayLossCause(cause)}
                </span>
                <span className="reading">{money(costMinor)}</span>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
    </section>
  );
};
