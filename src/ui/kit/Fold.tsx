import type { ReactNode } from "react";

/** Something that is seldom wanted, folded away under a line that says what it is and how it stands. */
export const Fold = ({
  title,
  stands,
  open = false,
  children,
}: {
  readonly title: string;
  /** How it stands now, beside the title. */
  readonly stands?: string | undefined;
  readonly open?: boolean;
  readonly children: ReactNode;
}) => (
  <details open={open} className="border-y border-line">
    <summary className="min-h-11 cursor-pointer py-2.5 font-semibold">
      {title}
      {stands ? <span className="font-normal text-soft">: {stands}</span> : null}
    </summary>
    <div className="grid gap-4 pb-3">{children}</div>
  </details>
);
