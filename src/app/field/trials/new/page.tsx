import type { Metadata } from "next";
import { BeginTrialScreen } from "@/ui/trials/BeginTrialScreen";
import { openView } from "../../../openPage";

export const metadata: Metadata = { title: "Begin a trial" };

export default async function BeginTrialPage() {
  const view = await openView("trialStart");
  return view ? <BeginTrialScreen view={view} /> : null;
}
