import {
  CONFOUNDERS,
  type Better,
  type Confounder,
  type Scale,
  type Seen,
  type TrialReason,
  type Verdict,
} from "./terms";

/** Ends of what is no large difference, on the scale that is added: none where nobody said what matters. */
export function smallBand(
  scale: Scale,
  smallest: number | undefined,
): { readonly low: number; readonly high: number } | null {
  if (smallest === undefined) return null;
  if (scale === "ordinal") return { low: 0.5 - smallest, high: 0.5 + smallest };
  const wide = scale === "ratio" ? Math.log(1 + smallest) : smallest;
  return { low: -wide, high: wide };
}

/** What the figures alone show. */
export function seenBy(
  interval: { readonly low: number; readonly high: number } | null,
  isSeen: boolean,
  isMore: boolean,
  band: ReturnType<typeof smallBand>,
): Seen {
  if (band && interval && interval.low > band.low && interval.high < band.high) return "no-large";
  if (!isSeen) return "unclear";
  return isMore ? "more" : "less";
}

/** What may be said of the input: what is seen, less what stands in its way. */
export function verdictOf(
  seen: Seen,
  better: Better,
  confounders: readonly Confounder[],
  withheld: readonly TrialReason[],
): Verdict {
  if (withheld.length > 0) return "withheld";
  if (seen === "unclear") return "cannot-tell";
  const kind = seen === "no-large" ? "none" : "claim";
  if (confounders.some((one) => CONFOUNDERS[one][kind] === "blur")) return "cannot-tell";
  if (seen === "no-large") return "likely-no-large-difference";
  return seen === better ? "likely-helped" : "likely-harmed";
}
