import { clsx } from "clsx";
import type { ReactNode } from "react";

interface NoticeProps {
  readonly tone: "caution" | "error" | "plain";
  readonly title?: string;
  readonly children: ReactNode;
}

const MARK = { caution: "▲", error: "■", plain: "●" } as const;

/** A caution, a failure or a plain word; told by its mark as well as by its colour. */
export const Notice = ({ tone, title, children }: NoticeProps) => (
  <div
    role={tone === "error" ? "alert" : undefined}
    className={clsx(
      "border-l-4 px-3 py-2 text-[0.95rem]",
      tone === "caution" && "border-marigold bg-marigold-wash",
      tone === "error" && "border-rust bg-rust-wash",
      tone === "plain" && "border-line bg-limewash",
    )}
  >
    {title ? (
      <p className="font-semibold">
        <span aria-hidden className="mr-2">
          {MARK[tone]}
        </span>
        {title}
      </p>
    ) : null}
    {children}
  </div>
);
