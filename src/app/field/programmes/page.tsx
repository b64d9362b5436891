import type { Metadata } from "next";
import { ProgrammesScreen } from "@/ui/field/programme/ProgrammesScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Schedules" };

export default async function ProgrammesPage() {
  const view = await openView("programmes");
  return view ? <ProgrammesScreen view={view} /> : null;
}
