import type { Metadata } from "next";
import { readTools } from "@/services/equipment/readTools";
import { ToolsScreen } from "@/ui/equipment/ToolsScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Tools" };

export default async function ToolsPage() {
  const page = await openPage(({ ctx, farm }) => readTools(ctx, farm));
  return page.type === "open" ? <ToolsScreen view={page.value} /> : null;
}
