import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { readGather } from "@/services/gather/readGather";
import { PickingPaper } from "@/ui/paper/PickingPaper";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Picking list" };

export default async function PickingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const { paper } = await searchParams;
  const page = await openPage(({ ctx, farm }) => readGather(ctx, farm));
  return page.type === "open" ? <PickingPaper view={page.value} paper={paperNamed(paper)} /> : null;
}
