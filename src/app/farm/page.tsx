import type { Metadata } from "next";
import { FarmScreen } from "@/ui/farm/FarmScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Farm settings" };

export default async function FarmPage() {
  const view = await openView("settings");
  return view ? <FarmScreen farm={view.settings} zones={view.zones} /> : null;
}
