import "fake-indexeddb/auto";
import { act, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { AwayBar } from "./AwayBar";
import { dropWaiting, keepWaiting, listWaiting, noteWaiting } from "./queue";
import { setReach } from "./reach";

// The simulated browser has no copy of its own.
globalThis.structuredClone ??= ((value: unknown) => JSON.parse(JSON.stringify(value)) as unknown) as never;

const NONE_SENT = { sent: 0, held: 0 };
const READ_MS = Date.parse("2031-03-20T10:00:00Z");
const keep = (said: string) =>
  keepWaiting({
    name: "logEntry",
    request: { requestKey: said },
    said,
    person: { id: 1, name: "Maren" },
    atMs: READ_MS,
  });

describe("the bar of a device without a signal", () => {
  it("says nothing while all is well; how old the page is, and what waits, where the farm is out of reach", async () => {
    render(<AwayBar readMs={READ_MS} personId={1} sendNow={async () => NONE_SENT} handIn={null} />);
    expect(screen.queryByRole("status")).toBeNull();
    act(() => setReach(false));
    expect(screen.getByRole("status")).toHaveTextContent(/No connection to the farm\. This page is as it was on Thu/);
    await act(() => keep("Blue drum: vented."));
    await waitFor(() => expect(screen.getByRole("status")).toHaveTextContent("1 entry not sent yet."));
    act(() => setReach(true));
    expect(screen.getByRole("status")).not.toHaveTextContent("No connection");
  });
  it("tells whose entries wait for them, where somebody else is at the device", async () => {
    const seq = await keep("Blue drum: vented.");
    render(<AwayBar readMs={READ_MS} personId={2} sendNow={async () => NONE_SENT} handIn={null} />);
    await waitFor(() =>
      expect(screen.getByRole("status")).toHaveTextContent(
        /entr(y|ies) of Maren: sent when they are signed in here again\./,
      ),
    );
    await act(() => dropWaiting(seq));
  });
  it("offers a steward to keep for later what others entered here, and nobody else", async () => {
    const seq = await keep("Blue drum: vented.");
    const handIn = jest.fn(async () => true);
    render(<AwayBar readMs={READ_MS} personId={2} sendNow={async () => NONE_SENT} handIn={handIn} />);
    await waitFor(() => expect(screen.getByRole("status")).toHaveTextContent(/of Maren/));
    fireEvent.click(screen.getByRole("button", { name: "Show" }));
    await act(async () => fireEvent.click(screen.getAllByRole("button", { name: "Keep it for a steward" }).at(-1)!));
    expect(handIn).toHaveBeenCalledWith(expect.objectContaining({ seq }));
    await act(() => dropWaiting(seq));
  });
  it("shows both sides of what the farm did not take, sends it again or takes it out", async () => {
    const seq = await keep("Bed 3: nettle extract logged.");
    await noteWaiting(seq, {
      refused: { code: "short-for-plots", message: "Too little left.", fields: { "/plotIds": "The store holds 0 L." } },
    });
    const sendNow = jest.fn(async () => NONE_SENT);
    render(<AwayBar readMs={READ_MS} personId={1} sendNow={sendNow} handIn={null} />);
    await waitFor(() => expect(screen.getByRole("status")).toHaveTextContent("1 entry not taken."));
    fireEvent.click(screen.getByRole("button", { name: "Show" }));
    expect(screen.getByText("Bed 3: nettle extract logged.")).toBeVisible();
    expect(screen.getByRole("alert")).toHaveTextContent(
      "The farm did not take it:Too little left.The store holds 0 L.",
    );
    fireEvent.click(screen.getByRole("button", { name: "Send now" }));
    await waitFor(() => expect(sendNow).toHaveBeenCalled());
    await act(async () => fireEvent.click(screen.getByRole("button", { name: "Send it again" })));
    await waitFor(() => expect(screen.queryByRole("alert")).toBeNull());
    await act(async () => {
      for (const button of screen.getAllByRole("button", { name: "Remove it" })) fireEvent.click(button);
    });
    await waitFor(() => expect(screen.queryByRole("status")).toBeNull());
    expect(await listWaiting()).toEqual([]);
  });
});
