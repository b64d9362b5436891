import type { Metadata } from "next";
import { AccessScreen } from "@/ui/people/AccessScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Sign-in" };

export default async function AccessPage() {
  const view = await openView("access");
  return view ? <AccessScreen view={view} /> : null;
}
