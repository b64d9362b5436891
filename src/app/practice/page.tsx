import type { Metadata } from "next";
import { PracticeScreen } from "@/ui/practice/PracticeScreen";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Practice" };

export default async function PracticePage() {
  const view = await openView("practice");
  return view ? <PracticeScreen view={view} /> : null;
}
