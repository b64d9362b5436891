import type { Metadata } from "next";
import { readBook } from "@/services/book/readBook";
import { BookScreen } from "@/ui/book/BookScreen";
import { openPage } from "../openPage";

export const metadata: Metadata = { title: "Methods" };

const WAYS = ["all", "goal", "hand", "day"] as const;

interface BookQuery {
  readonly by?: string;
  readonly day?: string;
}

export default async function BookPage({ searchParams }: { readonly searchParams: Promise<BookQuery> }) {
  const { by, day } = await searchParams;
  const page = await openPage(({ ctx, farm }) => readBook(ctx, farm, day ?? null));
  if (page.type !== "open") return null;
  return <BookScreen view={page.value} startBy={WAYS.find((way) => way === by) ?? "all"} />;
}
