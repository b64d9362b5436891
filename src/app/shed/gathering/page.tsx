import type { Metadata } from "next";
import { GatherScreen } from "@/ui/gather/GatherScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Gathering" };

export default async function GatheringPage() {
  const view = await openView("gather");
  return view ? <GatherScreen view={view} /> : null;
}
