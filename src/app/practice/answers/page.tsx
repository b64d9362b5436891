import type { Metadata } from "next";
import { AnswersScreen } from "@/ui/practice/AnswersScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Ask Ruchka" };

export default async function AnswersPage() {
  const facts = await openView("answerFacts");
  return facts ? <AnswersScreen facts={facts} /> : null;
}
