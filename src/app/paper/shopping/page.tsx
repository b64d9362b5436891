import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { readShopping } from "@/services/shed/readShopping";
import { ShoppingPaper } from "@/ui/paper/ShoppingPaper";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Shopping list" };

export default async function ShoppingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const { paper } = await searchParams;
  const page = await openPage(({ ctx, farm }) => readShopping(ctx, farm));
  return page.type === "open" ? <ShoppingPaper view={page.value} paper={paperNamed(paper)} /> : null;
}
