import type { Seen } from "@/core/practice/drum/look";
import type { PracticeDrum } from "@/core/practice/drum/setup";
import { inText, listed } from "@/formats/grammar";
import { formatNumber } from "@/formats/numbers";
import { sayTemperature } from "@/formats/amounts";
import { LOOK_NAMES, SIGN_NAMES } from "@/words/said";
import { sayHour } from "./sayHour";

/** What one look showed, in words. */
export function saySeen(
  { smell, isFaint, surface, film, liquid, solids, ph, celsius, look }: Seen,
  units: "metric" | "us",
): string {
  if (smell) return `${SIGN_NAMES.smell}: ${listed(smell)}${isFaint ? ", faint" : ""}`;
  if (celsius !== undefined) return `Thermometer: ${sayTemperature(celsius, units)}`;
  if (ph !== undefined) return `${look === "ph-strip" ? "Strip" : "Meter"}: pH ${formatNumber(ph)}`;
  const parts = [
    ...(surface ? [`${inText(SIGN_NAMES.surface)} ${surface}`] : []),
    ...(film ? [film === "none" ? "no film" : `${inText(SIGN_NAMES.film)} ${film}`] : []),
    ...(liquid ? [`${inText(SIGN_NAMES.liquid)} ${liquid}`] : []),
    ...(solids ? [`${inText(SIGN_NAMES.solids)} ${solids}`] : []),
  ];
  return parts.length > 0 ? `${LOOK_NAMES[look]}: ${parts.join(", ")}` : `${LOOK_NAMES[look]}: nothing to tell`;
}

/** All that was looked at, newest first. */
export const SeenList = ({
  drum,
  seen,
  units,
}: {
  readonly drum: PracticeDrum;
  readonly seen: readonly Seen[];
  readonly units: "metric" | "us";
}) =>
  seen.length === 0 ? (
    <p className="text-soft">Nothing yet. You see only what you look at.</p>
  ) : (
    <ol aria-label="What you saw" className="divide-y divide-line border-y border-line">
      {seen.toReversed().map((one) => (
        <li key={`${one.hour} ${one.look}`} className="flex gap-3 py-1.5">
          <span className="reading w-28 shrink-0 text-soft">{sayHour(drum, one.hour)}</span>
          <span>{saySeen(one, units)}</span>
        </li>
      ))}
    </ol>
  );
