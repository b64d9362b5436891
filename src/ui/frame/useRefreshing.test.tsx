import { act, renderHook } from "@testing-library/react";
import { useRefreshing } from "./useRefreshing";

const refresh = jest.fn();
jest.mock("next/navigation", () => {
  const router = { refresh: () => refresh() };
  return { useRouter: () => router };
});

beforeEach(() => {
  jest.useFakeTimers();
  refresh.mockClear();
});
afterEach(() => jest.useRealTimers());

const turn = (state: DocumentVisibilityState) => {
  jest.spyOn(document, "visibilityState", "get").mockReturnValue(state);
  act(() => void document.dispatchEvent(new Event("visibilitychange")));
};

describe("a screen that is left open", () => {
  it("is read again every five minutes, or as often as is asked", () => {
    const { unmount } = renderHook(() => useRefreshing());
    jest.advanceTimersByTime(299_000);
    expect(refresh).not.toHaveBeenCalled();
    jest.advanceTimersByTime(2_000);
    expect(refresh).toHaveBeenCalledTimes(1);
    unmount();
    renderHook(() => useRefreshing(15_000));
    jest.advanceTimersByTime(45_000);
    expect(refresh).toHaveBeenCalledTimes(4);
  });
  it("is read again as soon as a phone wakes, not as it falls asleep, and no more once it is gone", () => {
    const { unmount } = renderHook(() => useRefreshing());
    turn("hidden");
    expect(refresh).not.toHaveBeenCalled();
    turn("visible");
    expect(refresh).toHaveBeenCalledTimes(1);
    unmount();
    turn("visible");
    jest.advanceTimersByTime(600_000);
    expect(refresh).toHaveBeenCalledTimes(1);
  });
});
