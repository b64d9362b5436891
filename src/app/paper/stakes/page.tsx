import type { Metadata } from "next";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { NotUsed } from "@/ui/frame/NotUsed";
import { StakesPaper } from "@/ui/paper/StakesPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Stake labels" };

export default async function StakesPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ readonly trial?: string; readonly paper?: string }>;
}) {
  const query = await searchParams;
  const view = await openView("trialScoring", { id: query.trial });
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ trial: true, paper: isPaper }} />
      <StakesPaper view={view} paper={paperNamed(query.paper)} />
    </>
  ) : null;
}
