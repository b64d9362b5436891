import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { FieldScreen } from "@/ui/field/FieldScreen";
import { startOf } from "@/ui/field/job/startOf";
import { openView } from "../openPage";

export const metadata: Metadata = { title: "Field" };

interface FieldPageProps {
  readonly searchParams: Promise<{ store?: string; job?: string; step?: string }>;
}

export default async function FieldPage({ searchParams }: FieldPageProps) {
  const query = await searchParams;
  const { store, job, step } = query;
  if (job !== undefined && step !== undefined) {
    const jobs = await openView("jobs");
    if (!jobs) return null;
    const start = startOf(jobs, Number(job), step);
    return (
      <>
        <NotUsed query={query} fits={{ job: start.step !== null, step: start.step !== null }} />
        <FieldScreen view={jobs.field} start={start} />
      </>
    );
  }
  const view = await openView("field");
  return view ? (
    <>
      <NotUsed query={query} fits={{ store: (id) => view.stores.some((known) => String(known.id) === id) }} />
      <FieldScreen view={view} start={{ storeId: store === undefined ? null : Number(store), step: null }} />
    </>
  ) : null;
}
