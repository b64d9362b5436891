import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { SeasonPaper } from "@/ui/paper/SeasonPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "The month on paper" };

export default async function SeasonPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string }>;
}) {
  const query = await searchParams;
  const { paper } = query;
  const view = await openView("season");
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ paper: isPaper }} />
      <SeasonPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
