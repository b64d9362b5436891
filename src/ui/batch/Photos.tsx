"use client";
import { useState, type ReactNode } from "react";
import { TakePicture } from "../kit/TakePicture";
import { told, toldOfTrouble } from "../kit/told";
import { dayMonth, clockTime, sayAge, type FarmClock } from "@/formats/times";
import type { Progress } from "@/services/ferment";
import { useBatchAct } from "../acts/batch";
import { photoOf } from "../kit/smallJpeg";

interface PhotosProps {
  readonly batchId: number;
  readonly startedMs: number;
  readonly photos: Progress["photos"];
  /** How early, full and spent look, where something drawn is like it. */
  readonly looks: ReactNode;
  readonly running: boolean;
  readonly clock: FarmClock;
}

const HOUR_MS = 3_600_000;

/** Photographs by time, and above them how early, full and spent look, to hold one against the other. */
export const Photos = ({ batchId, startedMs, photos, looks, running, clock }: PhotosProps) => {
  const addPhoto = useBatchAct("addBatchPhoto", "toast");
  const [busy, setBusy] = useState(false);
  const keep = async (chosen: File) => {
    setBusy(true);
    try {
      if (await addPhoto.run({ batchId, jpeg: await photoOf(chosen) })) told("The picture is kept with the batch.");
    } catch {
      toldOfTrouble("This picture could not be read. Take another.");
    }
    setBusy(false);
  };
  return (
    <div className="grid gap-4">
      <div className="grid max-w-md grid-cols-3 gap-3">{looks}</div>
      {photos.length > 0 ? (
        <ol className="flex snap-x gap-3 relative overflow-x-auto pb-1" aria-label="Photographs by time" tabIndex={0}>
          {photos.map((photo) => (
            <li key={photo.id} className="w-40 shrink-0 snap-start">
              {/* eslint-disable-next-line @next/next/no-img-element -- out of the farm's books, made small already */}
              <img
                src={`/api/photos/${photo.id}`}
                alt={photo.note || `The batch at ${sayAge((photo.atMs - startedMs) / HOUR_MS)}`}
                className="aspect-square w-40 border-2 border-ink object-cover"
              />
              <p className="reading mt-1 text-[0.86rem] leading-tight">
                {sayAge((photo.atMs - startedMs) / HOUR_MS)}, {dayMonth(new Date(photo.atMs), clock)}{" "}
                {clockTime(new Date(photo.atMs), clock)}
              </p>
              <p className="text-[0.86rem] leading-tight text-soft">
                {photo.note ? `${photo.note}; ` : ""}by {photo.by}
              </p>
            </li>
          ))}
        </ol>
      ) : (
        <p className="text-soft">No photos yet. Take one at each check.</p>
      )}
      {running ? (
        <div>
          <TakePicture
            of="A photograph of it"
            label={busy ? "Saving…" : "Take photo"}
            disabled={busy}
            onTaken={(file) => void keep(file)}
          />
        </div>
      ) : null}
    </div>
  );
};
