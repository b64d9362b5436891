"use client";
import { Link } from "../kit/Link";
import { Button } from "../kit/Button";

interface BrokenProps {
  /** Under which the server wrote down what went wrong; none where it went wrong in the browser. */
  readonly number: string | null;
}

/** A page that went wrong: what that means, the next step, and what to tell whoever looks after it. */
export const Broken = ({ number }: BrokenProps) => (
  <div className="mx-auto mt-16 max-w-lg border-l-4 border-rust bg-chalk p-6">
    <h1 className="text-2xl">This page has an error</h1>
    <p className="mt-2">
      Nothing saved is lost. Try again; after an update this is enough. Other pages still work
      {number ? ". The error number is below" : ""}.
    </p>
    {number ? <p className="reading mt-2">{number}</p> : null}
    <div className="mt-4 flex flex-wrap gap-2">
      <Button variant="strong" onClick={() => window.location.reload()}>
        Try again
      </Button>
      <Link
        href="/"
        className="grid min-h-11 place-items-center px-3 underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
      >
        To the yard
      </Link>
    </div>
  </div>
);
