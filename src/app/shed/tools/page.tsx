import type { Metadata } from "next";
import { ToolsScreen } from "@/ui/equipment/ToolsScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Tools" };

export default async function ToolsPage() {
  const view = await openView("tools");
  return view ? <ToolsScreen view={view} /> : null;
}
