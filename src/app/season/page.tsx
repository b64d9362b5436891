import type { Metadata } from "next";
import { SeasonScreen } from "@/ui/season/SeasonScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Season" };

export default async function SeasonPage() {
  const view = await openView("season");
  return view ? <SeasonScreen key={JSON.stringify([view.today, view.plan?.id, view.terms])} view={view} /> : null;
}
