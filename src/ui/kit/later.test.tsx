import { act, fireEvent, render, screen } from "@testing-library/react";
import { panel, part, WhenSeen } from "./later";

const Sheet = ({ name, onClose }: { readonly name: string; readonly onClose: () => void }) => (
  <div role="dialog" aria-label={name}>
    <button onClick={onClose}>Close it</button>
  </div>
);

describe("a panel that comes when it is opened", () => {
  it("is there once it has come, and at once from then on", async () => {
    const load = jest.fn(async () => Sheet);
    const Panel = panel(load);
    const first = render(<Panel name="Log" onClose={jest.fn()} />);
    expect(screen.queryByRole("dialog")).toBeNull();
    expect(await screen.findByRole("dialog", { name: "Log" })).toBeVisible();
    first.unmount();
    render(<Panel name="Log again" onClose={jest.fn()} />);
    expect(screen.getByRole("dialog", { name: "Log again" })).toBeVisible();
    expect(load).toHaveBeenCalledTimes(1);
  });
  it("says where it can't come, takes the focus, and comes on a second try", async () => {
    const load = jest.fn().mockRejectedValueOnce(new Error("no signal")).mockResolvedValue(Sheet);
    const Panel = panel<{ name: string; onClose: () => void }>(load);
    const onClose = jest.fn();
    render(<Panel name="Log" onClose={onClose} />);
    const said = await screen.findByRole("alert");
    expect(said).toHaveTextContent("This part is not on this device yet, and the farm can’t be reached.");
    expect(said).toHaveFocus();
    fireEvent.click(screen.getByRole("button", { name: "Close" }));
    expect(onClose).toHaveBeenCalledTimes(1);
    fireEvent.click(screen.getByRole("button", { name: "Try again" }));
    expect(await screen.findByRole("dialog", { name: "Log" })).toBeVisible();
  });
  it("is not opened any more by a page that was left meanwhile", async () => {
    let come: (sheet: typeof Sheet) => void = () => undefined;
    const Panel = panel(() => new Promise<typeof Sheet>((resolve) => (come = resolve)));
    const { unmount } = render(<Panel name="Log" onClose={jest.fn()} />);
    unmount();
    come(Sheet);
    await Promise.resolve();
    expect(screen.queryByRole("dialog")).toBeNull();
  });
});

describe("a part of a page that comes after it", () => {
  const Chart = ({ title }: { readonly title: string }) => <figure aria-label={title} />;
  it("has its name in its place until it is there", async () => {
    const Later = part("Drawing the earlier ones", async () => Chart);
    render(<Later title="Earlier ones" />);
    expect(screen.getByText("Drawing the earlier ones")).toBeVisible();
    expect(await screen.findByRole("figure", { name: "Earlier ones" })).toBeVisible();
  });
  it("leaves the focus alone where it can't come", async () => {
    const Later = part<{ title: string }>("Chart", () => Promise.reject(new Error("no signal")));
    render(<Later title="Earlier ones" />);
    expect(await screen.findByRole("alert")).not.toHaveFocus();
    expect(screen.getByRole("button", { name: "Try again" })).toBeVisible();
  });
});

describe("what is drawn when it is seen", () => {
  const observed: ((entries: { isIntersecting: boolean }[]) => void)[] = [];
  const disconnect = jest.fn();
  const usual = globalThis.IntersectionObserver;
  beforeEach(() => {
    observed.length = 0;
    globalThis.IntersectionObserver = class {
      constructor(onSeen: (entries: { isIntersecting: boolean }[]) => void) {
        observed.push(onSeen);
      }
      observe() {}
      disconnect = disconnect;
    } as never;
  });
  afterEach(() => {
    globalThis.IntersectionObserver = usual;
  });
  it("waits until it comes into sight, and stays", async () => {
    render(<WhenSeen>a chart</WhenSeen>);
    expect(screen.queryByText("a chart")).toBeNull();
    observed[0]!([{ isIntersecting: false }]);
    expect(screen.queryByText("a chart")).toBeNull();
    act(() => observed[0]!([{ isIntersecting: true }]));
    expect(await screen.findByText("a chart")).toBeVisible();
    expect(disconnect).toHaveBeenCalled();
  });
  it("is there at once where it is wanted", () => {
    render(<WhenSeen wanted>a chart</WhenSeen>);
    expect(screen.getByText("a chart")).toBeVisible();
    expect(observed).toHaveLength(0);
  });
});
