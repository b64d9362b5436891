/** The rows behind a drawing, in the same order. */
export const RowsTable = ({
  heads,
  rows,
}: {
  readonly heads: readonly string[];
  /** The first of each is what the row is of. */
  readonly rows: readonly (readonly string[])[];
}) => (
  <details>
    <summary className="min-h-11 cursor-pointer py-2.5 text-soft">As a table</summary>
    <table className="w-full max-w-md text-[0.92rem]">
      <thead>
        <tr className="border-b border-ink">
          {heads.map((head, nth) => (
            <th key={head} className={`py-1 font-semibold ${nth === 0 ? "text-left" : "text-right"}`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row[0]} className="border-b border-line">
            {row.map((cell, nth) => (
              <td key={heads[nth]} className={nth === 0 ? "py-1" : "reading py-1 text-right"}>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </details>
);
