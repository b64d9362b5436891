import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { BatchPaper } from "@/ui/paper/BatchPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Batch record" };

interface Query {
  readonly searchParams: Promise<{ readonly batch?: string; readonly paper?: string }>;
}

export default async function BatchPaperPage({ searchParams }: Query) {
  const query = await searchParams;
  const { batch, paper } = query;
  const page = await openView("batch", { id: batch });
  return page ? (
    <>
      <NotUsed query={{ ...query }} fits={{ batch: true, paper: isPaper }} />
      <BatchPaper page={page} paper={paperNamed(paper)} />
    </>
  ) : null;
}
