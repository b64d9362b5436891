import type { Metadata } from "next";
import { FieldScreen } from "@/ui/field/FieldScreen";
import { startOf } from "@/ui/field/job/startOf";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Field" };

interface FieldPageProps {
  readonly searchParams: Promise<{ store?: string; job?: string; step?: string }>;
}

export default async function FieldPage({ searchParams }: FieldPageProps) {
  const { store, job, step } = await searchParams;
  if (job !== undefined && step !== undefined) {
    const jobs = await openView("jobs");
    return jobs ? <FieldScreen view={jobs.field} start={startOf(jobs, Number(job), step)} /> : null;
  }
  const view = await openView("field");
  return view ? (
    <FieldScreen view={view} start={{ storeId: store === undefined ? null : Number(store), step: null }} />
  ) : null;
}
