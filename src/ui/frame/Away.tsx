"use client";
import { Button } from "../kit/Button";

/** The database does not answer: what that means, and the next step. */
export const Away = () => (
  <div className="mx-auto mt-16 max-w-lg border-l-4 border-rust bg-chalk p-6">
    <h1 className="text-2xl">The farm’s data is not available</h1>
    <p className="mt-2">
      The database does not answer. Nothing saved is lost. Start it with bin/start (or bin/demo), then try again.
    </p>
    <Button variant="strong" className="mt-4" onClick={() => window.location.reload()}>
      Try again
    </Button>
  </div>
);
