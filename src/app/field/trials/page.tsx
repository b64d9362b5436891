import type { Metadata } from "next";
import { mayAs } from "@/core/people/roles";
import { TrialsScreen } from "@/ui/trials/TrialsScreen";
import { openPage, openView } from "../../openPage";

export const metadata: Metadata = { title: "Trials" };

export default async function TrialsPage() {
  const [view, who] = await Promise.all([openView("trials"), openPage(async ({ ctx }) => ctx.actor.role)]);
  return view ? <TrialsScreen view={view} mayBegin={who.type === "open" && mayAs(who.value, "grower")} /> : null;
}
