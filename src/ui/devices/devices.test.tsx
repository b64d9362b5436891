import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import type { DevicesView, DeviceView } from "@/services/devices/readDevices";
import { at, FARM, fakeActions, NOW_MS, refused, renderWith } from "@/testing/views";
import { DevicesScreen } from "./DevicesScreen";

jest.mock("next/navigation", () => ({ useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }) }));

const device = (change: Partial<DeviceView> = {}): DeviceView => ({
  id: 3,
  name: "Float",
  kind: "probe",
  vesselId: 1,
  vesselName: "Air drum",
  retired: false,
  lastMs: at(-1),
  quiet: false,
  series: [at(-5), at(-4), at(-1)].map((atMs, index) => ({ atMs, quantity: "liquid", value: 20 + index })),
  setAside: [],
  ...change,
});
const view = (devices: readonly DeviceView[]): DevicesView => ({
  farm: FARM,
  nowMs: NOW_MS,
  devices,
  vessels: [
    { id: 1, name: "Air drum" },
    { id: 2, name: "Tote" },
  ],
});
const show = (devices: readonly DeviceView[], actions = fakeActions()) => {
  renderWith(actions, <DevicesScreen view={view(devices)} />);
  return actions;
};

describe("probes and loggers", () => {
  it("says what to do where none posts yet", () => {
    show([]);
    expect(screen.getByText(/No sensors yet/)).toBeVisible();
  });
  it("draws what was posted, with a gap as a gap", () => {
    show([device()]);
    const trace = screen.getByRole("img", { name: "Float, liquid over three days" });
    // Hours −5 and −4 hang together; −1 stands apart.
    expect(trace.querySelectorAll("path")).toHaveLength(2);
    expect(screen.getByText(/Last heard today 11:00/)).toBeVisible();
  });
  it("asks after one that fell silent, and shows what was kept apart with why", () => {
    show([
      device({
        quiet: true,
        lastMs: at(-9),
        setAside: [{ atMs: at(-2), quantity: "liquid", value: 85, aside: { code: "impossible" } }],
      }),
    ]);
    expect(screen.getByText(/Nothing since/)).toBeVisible();
    fireEvent.click(screen.getByText("1 not used"));
    expect(screen.getByText("liquid 85 °C: this cannot be")).toBeVisible();
  });
  it("is hung elsewhere, and taken out of use", async () => {
    const actions = show([device()]);
    fireEvent.click(screen.getByRole("button", { name: "Move sensor" }));
    fireEvent.change(screen.getByLabelText("From now on it hangs"), { target: { value: "2" } });
    fireEvent.click(screen.getByRole("button", { name: "Move it there" }));
    await waitFor(() =>
      expect(actions.placeDevice).toHaveBeenCalledWith(expect.objectContaining({ deviceId: 3, vesselId: 2 })),
    );
    fireEvent.click(screen.getByRole("button", { name: "Remove sensor" }));
    await waitFor(() => expect(actions.retireDevice).toHaveBeenCalledWith(expect.objectContaining({ deviceId: 3 })));
  });
  it("one that is out of use, or a logger's file, has nothing left to be done to it", () => {
    show([device({ retired: true }), device({ id: 4, name: "Pen", kind: "logger", vesselName: null })]);
    expect(screen.queryByRole("button", { name: "Move sensor" })).toBeNull();
    expect(screen.getByText("logger, from its files, in the air")).toBeVisible();
  });
});

describe("a new device", () => {
  // The simulated browser has no source of chance of its own.
  beforeAll(() =>
    Object.defineProperty(globalThis, "crypto", {
      configurable: true,
      value: {
        getRandomValues: (bytes: Uint8Array) => bytes.fill(7),
        randomUUID: () => "6f1c2f8e-3a52-4c1f-9f0e-6f3f9a1b2c3d",
      },
    }),
  );
  const fill = (actions = fakeActions()) => {
    show([], actions);
    fireEvent.click(screen.getByRole("button", { name: "Add sensor" }));
    const sheet = within(screen.getByRole("dialog"));
    fireEvent.change(sheet.getByLabelText("Its name"), { target: { value: "Second" } });
    fireEvent.change(sheet.getByLabelText("It hangs in"), { target: { value: "2" } });
    fireEvent.click(sheet.getByRole("button", { name: "Add sensor and show its key" }));
    return actions;
  };
  it("shows its token once, the same that was sent", async () => {
    const actions = fill();
    await waitFor(() => expect(screen.getByText("Second may post")).toBeVisible());
    const [[sent]] = actions.addDevice.mock.calls as [[{ token: string; vesselId: number }]];
    expect(sent).toMatchObject({ name: "Second", kind: "probe", vesselId: 2 });
    expect(screen.getByText(sent.token)).toBeVisible();
    expect(screen.getByText(/POST \/api\/readings/)).toBeVisible();
  });
  it("keeps what was typed where it was refused", async () => {
    fill(
      fakeActions({ addDevice: refused("Some of this does not fit.", { "/name": 'There is a "Second" already.' }) }),
    );
    await waitFor(() => expect(screen.getByText('There is a "Second" already.')).toBeVisible());
    expect(screen.getByLabelText("Its name")).toHaveValue("Second");
  });
});

describe("a logger's file", () => {
  const LOOK = {
    text: "t;c",
    preview: {
      layout: "dd.MM.yyyy HH:mm",
      hasZone: false,
      columns: [
        { name: "Water", unit: "°C", figures: 40 },
        { name: "Acid", unit: "pH", figures: 38 },
      ],
      fromMs: at(-80),
      toMs: at(-20),
      gaps: [{ fromMs: at(-60), toMs: at(-40) }],
      unread: [{ line: 9, text: "battery low" }],
    },
  };
  const choose = async (answer: object) => {
    global.fetch = jest.fn(async () => answer) as never;
    const actions = show([], fakeActions({ importLogger: { ok: true, value: { taken: 38, known: 0, setAside: 0 } } }));
    fireEvent.click(screen.getByRole("button", { name: "Import logger file" }));
    fireEvent.change(screen.getByLabelText("The file, as the logger gave it"), {
      target: { files: [new File(["t;c"], "pen.csv")] },
    });
    await waitFor(() => expect(global.fetch).toHaveBeenCalled());
    return actions;
  };
  it("is looked at first: how its times are written, its span, its gaps, what can't be read", async () => {
    const actions = await choose({ ok: true, json: async () => LOOK });
    await waitFor(() => expect(screen.getByText(/1 gap of more than six hours/)).toBeVisible());
    expect(screen.getByText(/the first is line 9: “battery low”/)).toBeVisible();
    fireEvent.change(screen.getByLabelText("The column to read"), { target: { value: "Acid" } });
    expect(screen.getByRole("radio", { name: "pH" })).toBeChecked();
    fireEvent.change(screen.getByLabelText("It hung in"), { target: { value: "1" } });
    fireEvent.change(screen.getByLabelText(/^The logger’s name/), { target: { value: "Pen" } });
    fireEvent.click(screen.getByRole("button", { name: "Import file" }));
    await waitFor(() =>
      expect(actions.importLogger).toHaveBeenCalledWith(
        expect.objectContaining({ name: "Pen", vesselId: 1, column: "Acid", unit: "pH", text: "t;c" }),
      ),
    );
  });
  it("that was no file of a logger is told so, and nothing is read in", async () => {
    await choose({
      ok: true,
      json: async () => ({ text: "x", preview: { ...LOOK.preview, layout: null, columns: [] } }),
    });
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("No column of times was found"));
  });
  it("that is too large is told in the server's words", async () => {
    await choose({ ok: false, text: async () => "A file of more than 8 MB is not read. Part it." });
    await waitFor(() => expect(screen.getByRole("alert")).toHaveTextContent("Part it."));
  });
});
