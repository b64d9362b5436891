import type { Metadata } from "next";
import { JobsScreen } from "@/ui/field/job/JobsScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Jobs" };

export default async function JobsPage() {
  const view = await openView("jobs");
  return view ? <JobsScreen view={view} /> : null;
}
