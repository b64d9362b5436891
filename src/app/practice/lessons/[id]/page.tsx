import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { METHODS } from "@/core/book";
import { farmRecipe } from "@/core/recipe/pick";
import { LessonScreen } from "@/ui/practice/LessonScreen";
import { anySeed } from "@/ui/practice/practiceLinks";
import { openView } from "../../../openPage";

interface LessonProps {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: LessonProps): Promise<Metadata> {
  const { id } = await params;
  return { title: METHODS.find((method) => method.id === id)?.name ?? "Lesson" };
}

export default async function LessonPage({ params }: LessonProps) {
  const { id } = await params;
  if (!METHODS.some((method) => method.id === id)) notFound();
  const facts = await openView("answerFacts");
  return facts ? <LessonScreen recipe={farmRecipe(facts, id)} seed={anySeed()} /> : null;
}
