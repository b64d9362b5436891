import type { Metadata } from "next";
import { GrowthScreen } from "@/ui/practice/GrowthScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Growth and crash" };

export default async function GrowthPage() {
  const view = await openView("practice");
  return view ? <GrowthScreen units={view.system} /> : null;
}
