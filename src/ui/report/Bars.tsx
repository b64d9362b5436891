import { RowsTable } from "../kit/RowsTable";

export interface BarRow {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  /** The same a season before; nothing where nobody compares. */
  readonly before?: number;
  readonly said: string;
  readonly saidBefore?: string;
  /** Lost, not spent: hatched. */
  readonly isLost?: boolean;
}

/** One question and its answer as bars, the largest widest; the season before as a line through each. The rows stand behind it as a table. */
export const Bars = ({
  question,
  rows,
  file,
  heads,
}: {
  readonly question: string;
  readonly rows: readonly BarRow[];
  readonly file: string;
  /** Of the table: what a row is of, its figure, the figure before. */
  readonly heads: readonly string[];
}) => {
  const most = Math.max(0, ...rows.flatMap(({ value, before = 0 }) => [value, before])) || 1;
  const isCompared = rows.some(({ before }) => before !== undefined);
  return (
    <section className="break-inside-avoid">
      <h2 className="text-[1.15rem]">{question}</h2>
      <ul className="mt-2 grid gap-1.5">
        {rows.map(({ key, label, value, before, said, isLost }) => (
          <li key={key} className="grid grid-cols-[8.5rem_1fr_auto] items-center gap-3 sm:grid-cols-[11rem_1fr_auto]">
            <span className="min-w-0 leading-tight">{label}</span>
            <svg viewBox="0 0 200 18" preserveAspectRatio="none" className="h-5 w-full" aria-hidden>
              <defs>
                <pattern
                  id="report-lost"
                  width="6"
                  height="6"
                  patternUnits="userSpaceOnUse"
                  patternTransform="rotate(45)"
                >
                  <rect width="6" height="6" fill="var(--chalk)" />
                  <path d="M0 0V6" stroke="var(--rust)" strokeWidth="5" />
                </pattern>
              </defs>
              <rect
                x={0}
                y={2}
                width={Math.max(value > 0 ? 1 : 0, (200 * value) / most)}
                height={14}
                fill={isLost ? "url(#report-lost)" : "var(--leaf)"}
                stroke="var(--ink)"
                strokeWidth={0.6}
              />
              {before === undefined ? null : (
                <rect x={(200 * before) / most - 0.8} y={0} width={1.6} height={18} fill="var(--ink)" />
              )}
            </svg>
            <span className="reading whitespace-nowrap text-right">{said}</span>
          </li>
        ))}
      </ul>
      {isCompared ? <p className="text-[0.88rem] text-soft">The upright line: as long a time before.</p> : null}
      <RowsTable
        name={file}
        heads={heads}
        rows={rows.map(({ label, said, saidBefore }) => [label, said, ...(heads.length > 2 ? [saidBefore ?? ""] : [])])}
      />
    </section>
  );
};
