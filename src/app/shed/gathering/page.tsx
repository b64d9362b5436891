import type { Metadata } from "next";
import { readGather } from "@/services/gather/readGather";
import { GatherScreen } from "@/ui/gather/GatherScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Gathering" };

export default async function GatheringPage() {
  const page = await openPage(({ ctx, farm }) => readGather(ctx, farm));
  return page.type === "open" ? <GatherScreen view={page.value} /> : null;
}
