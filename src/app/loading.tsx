/** While a place is being looked over: its ground line, and nothing made up. */
export default function Loading() {
  return (
    <div role="status" className="px-6 pt-40">
      <p className="font-display text-xl">Looking it over …</p>
      <div aria-hidden className="mt-3 h-[3px] w-full animate-pulse bg-ink" />
    </div>
  );
}
