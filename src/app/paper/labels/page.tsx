import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { headers } from "next/headers";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { isLabelLanguage } from "@/words/labelLanguage";
import { LabelsPaper } from "@/ui/paper/LabelsPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Labels" };

interface LabelsQuery {
  readonly batch?: string;
  readonly paper?: string;
  readonly copies?: string;
  readonly hand?: string;
  readonly language?: string;
}

/** The address that a phone in the yard opens: the one that this page itself was asked for by. */
async function originOf(): Promise<string> {
  // What is printed outlives this window: by the address that phones know, where there is one.
  if (process.env.RUCHKA_ADDRESS) return process.env.RUCHKA_ADDRESS;
  const asked = await headers();
  return `${asked.get("x-forwarded-proto") ?? "http"}://${asked.get("host") ?? "127.0.0.1"}`;
}

export default async function LabelsPage({ searchParams }: { readonly searchParams: Promise<LabelsQuery> }) {
  const query = await searchParams;
  const { batch, paper, copies = "1", hand, language } = query;
  const origin = await originOf();
  const view = await openView("labels", { batch, origin });
  if (!view) return null;
  const count = /^\d{1,2}$/.test(copies) ? Math.min(50, Math.max(1, Number(copies))) : 1;
  return (
    <>
      <NotUsed
        query={{ ...query }}
        fits={{
          batch: true,
          paper: isPaper,
          copies: (count) => /^\d{1,2}$/.test(count),
          hand: (is) => is === "0" || is === "1",
          language: isLabelLanguage,
        }}
      />
      <LabelsPaper
        view={view}
        paper={paperNamed(paper)}
        copies={count}
        hand={hand === "1"}
        language={isLabelLanguage(language) ? language : "en"}
      />
    </>
  );
}
