import { Link } from "@/ui/kit/Link";

export default function NotFound() {
  return (
    <div className="mx-auto mt-16 max-w-lg px-5">
      <h1 className="text-2xl">Page not found</h1>
      <p className="mt-2">
        Perhaps the number is off. The{" "}
        <Link href="/" className="underline">
          yard
        </Link>{" "}
        shows every batch that runs, the{" "}
        <Link href="/ledger" className="underline">
          ledger
        </Link>{" "}
        those that are done.
      </p>
    </div>
  );
}
