import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { ShoppingPaper } from "@/ui/paper/ShoppingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Shopping list" };

export default async function ShoppingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const { paper } = await searchParams;
  const view = await openView("shopping");
  return view ? <ShoppingPaper view={view} paper={paperNamed(paper)} /> : null;
}
