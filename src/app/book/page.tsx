import type { Metadata } from "next";
import { BookScreen } from "@/ui/book/BookScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Methods" };

const WAYS = ["all", "goal", "hand", "day"] as const;

interface BookQuery {
  readonly by?: string;
  readonly day?: string;
}

export default async function BookPage({ searchParams }: { readonly searchParams: Promise<BookQuery> }) {
  const { by, day } = await searchParams;
  const view = await openView("book", { day });
  return view ? <BookScreen view={view} startBy={WAYS.find((way) => way === by) ?? "all"} /> : null;
}
