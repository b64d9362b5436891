import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { PickingPaper } from "@/ui/paper/PickingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Picking list" };

export default async function PickingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const { paper } = await searchParams;
  const view = await openView("gather");
  return view ? <PickingPaper view={view} paper={paperNamed(paper)} /> : null;
}
