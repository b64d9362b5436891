import type { ReactNode } from "react";

/** An amount, a bed, a name: not broken between its figure and its unit. */
const isShort = (cell: ReactNode): boolean => typeof cell === "string" && cell.length < 10;

/** A table as records are kept: its heads again on each page, no row broken over two. */
export const RecordTable = ({
  label,
  heads,
  rows,
}: {
  readonly label: string;
  readonly heads: readonly string[];
  readonly rows: readonly {
    readonly key: string | number;
    readonly struck?: boolean;
    readonly cells: readonly ReactNode[];
  }[];
}) => (
  <div role="region" aria-label={label} tabIndex={0} className="relative overflow-x-auto print:overflow-visible">
    <table className="w-full text-left text-[3.3mm] leading-snug">
      <thead>
        <tr className="border-b-[0.5mm] border-black align-bottom">
          {heads.map((head) => (
            <th key={head} scope="col" className="py-[1mm] pr-[2mm] font-bold">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, struck, cells }) => (
          <tr
            key={key}
            className={`break-inside-avoid border-b-[0.2mm] border-black align-top ${struck ? "line-through" : ""}`}
          >
            {cells.map((cell, index) => (
              <td key={index} className={`py-[1mm] pr-[2mm] ${isShort(cell) ? "whitespace-nowrap" : ""}`}>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  </div>
);

/** Where whoever answers for a record signs it. */
export const SignHere = () => (
  <p className="mt-[10mm] flex break-inside-avoid gap-[8mm]">
    {["Name", "Signature", "Date"].map((what) => (
      <span key={what} className="flex-1 border-t-[0.3mm] border-black pt-[1mm] text-[3.3mm]">
        {what}
      </span>
    ))}
  </p>
);
