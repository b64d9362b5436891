"use client";
import { Button } from "./Button";

interface RowsTableProps {
  /** What a file of it is called, without its ending. */
  readonly name: string;
  readonly heads: readonly string[];
  /** The first of each is what the row is of. */
  readonly rows: readonly (readonly string[])[];
}

async function save({ name, heads, rows }: RowsTableProps): Promise<void> {
  const { writeCsv } = await import("@/formats/csv/decode");
  const address = URL.createObjectURL(new Blob([writeCsv(heads, rows)], { type: "text/csv;charset=utf-8" }));
  const link = document.createElement("a");
  link.href = address;
  link.download = `${name}.csv`;
  link.click();
  URL.revokeObjectURL(address);
}

/** The rows behind a drawing, in the same order, folded away; and as a file. */
export const RowsTable = (props: RowsTableProps) => {
  const { heads, rows } = props;
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2.5 text-soft">As a table</summary>
      <div className="relative overflow-x-auto" role="region" aria-label="Table" tabIndex={0}>
        <table className="w-full max-w-2xl text-[0.92rem]">
          <thead>
            <tr className="border-b border-ink">
              {heads.map((head, nth) => (
                <th
                  key={head}
                  scope="col"
                  className={`py-1 pr-3 font-semibold ${nth === 0 ? "text-left" : "text-right"}`}
                >
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, at) => (
              <tr key={`${at} ${row[0]}`} className="border-b border-line">
                {row.map((cell, nth) => (
                  <td key={heads[nth]} className={nth === 0 ? "py-1 pr-3" : "reading py-1 pr-3 text-right"}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button variant="quiet" className="-ml-3" onClick={() => void save(props)}>
        As CSV
      </Button>
    </details>
  );
};
