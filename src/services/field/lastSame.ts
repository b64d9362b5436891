import "server-only";

const DAY_MS = 86_400_000;

/** Days since a plot last got something of a method; null where it never did. */
export function lastSameDays(
  made: readonly { readonly plotId: number; readonly methodId: string; readonly at: Date }[],
  plotId: number,
  methodId: string,
  now: Date,
): number | null {
  const last = made.find((one) => one.plotId === plotId && one.methodId === methodId);
  return last ? Math.max(0, Math.floor((now.getTime() - last.at.getTime()) / DAY_MS)) : null;
}
