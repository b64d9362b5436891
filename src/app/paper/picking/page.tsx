import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { PickingPaper } from "@/ui/paper/PickingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Picking list" };

export default async function PickingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const query = await searchParams;
  const { paper } = query;
  const view = await openView("gather");
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ paper: isPaper }} />
      <PickingPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
