import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { BatchPaper } from "@/ui/paper/BatchPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Batch record" };

interface Query {
  readonly searchParams: Promise<{ readonly batch?: string; readonly paper?: string }>;
}

export default async function BatchPaperPage({ searchParams }: Query) {
  const { batch, paper } = await searchParams;
  const page = await openView("batch", { id: batch });
  return page ? <BatchPaper page={page} paper={paperNamed(paper)} /> : null;
}
