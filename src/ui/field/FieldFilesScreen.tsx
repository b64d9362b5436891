"use client";
import { Download, Printer } from "lucide-react";
import { useState } from "react";
import { buttonClass } from "../kit/Button";
import { TextField } from "../kit/fields";
import { Link } from "../kit/Link";
import { FilesIn, FilesOut } from "../files/FilesScreen";

const KINDS = ["beds", "plantings"] as const;

/** What an inspector asks for: all that went on and all that was made between two days. */
const ForInspector = () => {
  const [from, setFrom] = useState("");
  const [to, setTo] = useState("");
  const href = (kind: string) => `/api/field/record?${new URLSearchParams({ kind, from, to }).toString()}`;
  return (
    <section aria-label="For an inspector" className="grid content-start gap-3">
      <h2 className="text-xl">For an inspector</h2>
      <p className="text-soft">
        Every application and every batch, with day, people, lots and reasons. Leave the days empty for everything.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <TextField label="From" type="date" value={from} onChange={(event) => setFrom(event.target.value)} />
        <TextField label="To" type="date" value={to} onChange={(event) => setTo(event.target.value)} />
      </div>
      <a href={href("applications")} className={buttonClass("plain")} download>
        <Download aria-hidden className="size-5" /> What went on the plots
      </a>
      <Link
        href={`/paper/applications?${new URLSearchParams({ from, to }).toString()}`}
        className={buttonClass("plain")}
      >
        <Printer aria-hidden className="size-5" /> Application record on paper
      </Link>
      <a href={href("batches")} className={buttonClass("plain")} download>
        <Download aria-hidden className="size-5" /> What was made
      </a>
    </section>
  );
};

/** Plantings out and in as CSV, the land as GeoJSON, and the record for an inspector. */
export const FieldFilesScreen = () => (
  <div className="px-4 py-5 md:px-8">
    <p>
      <Link href="/field" className="thumb underline">
        The field
      </Link>
    </p>
    <h1 className="text-2xl">Files of the field</h1>
    <p className="text-soft">
      Outlines and marks go out and in as GeoJSON where{" "}
      <Link href="/field/land" className="underline">
        the field is drawn
      </Link>
      .
    </p>
    <div className="mt-5 grid gap-8 md:grid-cols-[20rem_1fr]">
      <div className="grid content-start gap-8">
        <FilesOut kinds={KINDS} />
        <ForInspector />
      </div>
      <FilesIn kinds={KINDS} />
    </div>
  </div>
);
