import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { ShoppingPaper } from "@/ui/paper/ShoppingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Shopping list" };

export default async function ShoppingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const query = await searchParams;
  const { paper } = query;
  const view = await openView("shopping");
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ paper: isPaper }} />
      <ShoppingPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
