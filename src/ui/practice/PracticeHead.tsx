import type { ReactNode } from "react";
import { Link } from "../kit/Link";

/** The head of a page of practice: the way back, which drum or week it is, what the page is. */
export const PracticeHead = ({ title, of = null }: { readonly title: string; readonly of?: ReactNode }) => (
  <>
    <p className="text-soft">
      <Link href="/practice" className="thumb underline">
        Practice
      </Link>
      {of ? <> · {of}</> : null}
    </p>
    <h1 className="text-2xl">{title}</h1>
  </>
);
