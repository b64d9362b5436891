import { act, cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { useState } from "react";
import { Sheet } from "./Sheet";

/** A page with a button that opens a panel, which may be gone once the panel closes. */
const Page = ({ isGone }: { readonly isGone: boolean }) => {
  const [open, setOpen] = useState<boolean | "closed">(false);
  return (
    <main id="content" tabIndex={-1}>
      {isGone && open === "closed" ? null : <button onClick={() => setOpen(true)}>Add stock</button>}
      {open === true ? (
        <Sheet open onClose={() => setOpen("closed")} title="Stock">
          <input aria-label="How much" />
        </Sheet>
      ) : null}
    </main>
  );
};

async function openedAndClosed(isGone: boolean): Promise<void> {
  render(<Page isGone={isGone} />);
  const opener = screen.getByRole("button", { name: "Add stock" });
  act(() => opener.focus());
  fireEvent.click(opener);
  const panel = await screen.findByRole("dialog");
  await waitFor(() => expect(panel).toHaveFocus());
  fireEvent.keyDown(panel, { key: "Escape" });
  await waitFor(() => expect(screen.queryByRole("dialog")).toBeNull());
}

describe("a panel", () => {
  afterEach(cleanup);
  it("takes the focus, and gives it back to where it came from", async () => {
    await openedAndClosed(false);
    await waitFor(() => expect(screen.getByRole("button", { name: "Add stock" })).toHaveFocus());
  });
  it("gives it to the page where that is gone", async () => {
    await openedAndClosed(true);
    await waitFor(() => expect(screen.getByRole("main")).toHaveFocus());
  });
});
