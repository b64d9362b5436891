import type { Metadata } from "next";

export const metadata: Metadata = { title: "No connection" };

/** What is shown for a page that was never opened on this device while the farm is out of reach. */
export default function AwayPage() {
  return (
    <div className="mx-auto mt-16 max-w-lg border-l-4 border-marigold bg-chalk p-6">
      <h1 className="text-2xl">This page is not on this device</h1>
      <p className="mt-2">
        The farm can’t be reached, and this page was not opened here before. The yard, the field and the shed are on the
        device: go there, and write down what you do. It is sent when there is a signal.
      </p>
    </div>
  );
}
