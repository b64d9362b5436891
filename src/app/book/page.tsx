import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { BookScreen } from "@/ui/book/BookScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Methods" };

const WAYS = ["all", "goal", "hand", "day"] as const;

interface BookQuery {
  readonly by?: string;
  readonly day?: string;
}

export default async function BookPage({ searchParams }: { readonly searchParams: Promise<BookQuery> }) {
  const query = await searchParams;
  const { by, day } = query;
  const view = await openView("book", { day });
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ by: (way) => WAYS.some((known) => known === way), day: true }} />
      <BookScreen view={view} startBy={WAYS.find((way) => way === by) ?? "all"} />
    </>
  ) : null;
}
