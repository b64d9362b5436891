import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { doorTo, fakeActions, refused } from "@/testing/views";
import { DoorProvider } from "./act";
import { useYardAct } from "./yard";

const vessel = { name: "Drum", kind: "drum" as const, volumeL: 200 };

function actWith(actions: ReturnType<typeof fakeActions>) {
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <DoorProvider door={doorTo(actions)}>{children}</DoorProvider>
  );
  return renderHook(() => useYardAct("addVessel"), { wrapper });
}
const keysOf = (actions: ReturnType<typeof fakeActions>) =>
  actions.addVessel.mock.calls.map(([request]) => (request as { requestKey: string }).requestKey);

describe("one intended write", () => {
  it("is not sent where the form can tell that it does not fit", async () => {
    const actions = fakeActions();
    const { result } = actWith(actions);
    await act(async () => expect(await result.current.run({ ...vessel, volumeL: 5_000_000 })).toBeNull());
    expect(actions.addVessel).not.toHaveBeenCalled();
    expect(result.current.fields).toEqual({ "/volumeL": "At most 20\u202f000 L." });
  });
  it("keeps its key when it is sent again unchanged, after a refusal or a lost answer", async () => {
    const actions = fakeActions({ addVessel: refused("Not now.") });
    const { result } = actWith(actions);
    for (let time = 0; time < 2; time += 1) await act(async () => void (await result.current.run(vessel)));
    expect(new Set(keysOf(actions)).size).toBe(1);
  });
  it("takes a new key once it was changed, and once it went through", async () => {
    const actions = fakeActions();
    const { result } = actWith(actions);
    await act(async () => void (await result.current.run(vessel)));
    await act(async () => void (await result.current.run(vessel)));
    await act(async () => void (await result.current.run({ ...vessel, volumeL: 100 })));
    expect(new Set(keysOf(actions)).size).toBe(3);
  });
  it("says that the farm is out of reach where the answer never comes", async () => {
    const actions = fakeActions();
    actions.addVessel.mockRejectedValue(new Error("network"));
    const { result } = actWith(actions);
    await act(async () => expect(await result.current.run(vessel)).toBeNull());
    expect(result.current.error).toMatchObject({ code: "out-of-reach" });
  });
  it("forgets an old complaint once it went through", async () => {
    const actions = fakeActions();
    actions.addVessel.mockResolvedValueOnce(refused("Taken.", { "/name": "Taken." }));
    const { result } = actWith(actions);
    await act(async () => void (await result.current.run(vessel)));
    expect(result.current.fields).toEqual({ "/name": "Taken." });
    await act(async () => void (await result.current.run(vessel)));
    expect(result.current.error).toBeNull();
  });
});
