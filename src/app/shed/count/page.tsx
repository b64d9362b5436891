import type { Metadata } from "next";
import { CountScreen } from "@/ui/shed/CountScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Count" };

export default async function CountPage() {
  const view = await openView("count");
  return view ? <CountScreen view={view} /> : null;
}
