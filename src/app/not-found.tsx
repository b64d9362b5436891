import { Link } from "@/ui/kit/Link";

export default function NotFound() {
  return (
    <div className="mx-auto mt-16 max-w-lg px-5">
      <h1 className="text-2xl">Page not found</h1>
      <p className="mt-2">
        The address may be wrong, or what stood here was removed. Batches that run are in the{" "}
        <Link href="/" className="underline">
          yard
        </Link>
        , finished ones under{" "}
        <Link href="/ledger" className="underline">
          Costs
        </Link>
        .
      </p>
    </div>
  );
}
