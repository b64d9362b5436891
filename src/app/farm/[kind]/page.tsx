import type { Metadata } from "next";
import { THING_NAMES } from "@/words/said";
import { ThingsScreen } from "@/ui/farm/ThingsScreen";
import { openView } from "../../openPage";

interface Query {
  readonly params: Promise<{ readonly kind: string }>;
}

export async function generateMetadata({ params }: Query): Promise<Metadata> {
  const { kind } = await params;
  return { title: kind in THING_NAMES ? THING_NAMES[kind as keyof typeof THING_NAMES].many : "Farm" };
}

export default async function ThingsPage({ params }: Query) {
  const view = await openView("things", { kind: (await params).kind });
  return view ? <ThingsScreen view={view} /> : null;
}
