import { fireEvent, screen, waitFor } from "@testing-library/react";
import fc from "fast-check";
import { climateFrom, warmAndCold } from "@/core/weather/climate";
import { fakeActions, renderWith } from "@/testing/views";
import type { ZonePlace } from "@/services/farm";
import { askedFarm, draftOf, isTurned, weatherIn } from "./farmDraft";
import { currencyOptions, zoneOptions } from "./farmLists";
import { guessFarm } from "./guess";
import { SetUpScreen } from "./SetUpScreen";

jest.mock("next/navigation", () => ({
  useRouter: () => ({ push: jest.fn(), refresh: jest.fn() }),
  usePathname: () => "/",
}));

const ZONES: readonly ZonePlace[] = [
  { zone: "Pacific/Auckland", country: "NZ", latitudeDeg: -36.87, longitudeDeg: 174.77 },
  { zone: "America/Chicago", country: "US", latitudeDeg: 41.85, longitudeDeg: -87.65 },
];

describe("what is guessed of a new farm", () => {
  it("takes units and money from the country of the time zone, and the place from its town", () => {
    const far = guessFarm({ timeZone: "Pacific/Auckland", language: "en-US", offsetMin: 720 }, ZONES);
    expect(far).toMatchObject({ units: "metric", currency: "NZD", latitudeDeg: -36.87, placed: true });
    expect(guessFarm({ timeZone: "America/Chicago", language: "de", offsetMin: -360 }, ZONES)).toMatchObject({
      units: "us",
      currency: "USD",
    });
  });
  it("goes by the language and the clock where no town is known, and says so", () => {
    expect(guessFarm({ timeZone: "UTC", language: "en-US", offsetMin: 0 }, ZONES)).toMatchObject({
      units: "us",
      placed: false,
      longitudeDeg: 0,
    });
    expect(guessFarm({ timeZone: "Nowhere/Else", language: "?", offsetMin: 90 }, [])).toMatchObject({
      units: "metric",
      longitudeDeg: 22.5,
    });
  });
  it("gives every zone of the machine's own table a farm that the server takes", () => {
    for (const { value } of zoneOptions(ZONES)) {
      const guess = guessFarm({ timeZone: value, language: "en", offsetMin: 0 }, ZONES);
      const asked = askedFarm(draftOf(guess, {}));
      expect(Object.values(asked).every((one) => typeof one === "string" || Number.isFinite(one))).toBe(true);
    }
    expect(currencyOptions().find(({ value }) => value === "NZD")?.label).toBe("New Zealand Dollar (NZD)");
  });
  it("keeps the climate with the place until somebody has said it", () => {
    const guess = guessFarm({ timeZone: "UTC", language: "en-GB", offsetMin: 0 }, ZONES);
    const [here, north] = [draftOf(guess, {}), draftOf(guess, { latitude: "60" })];
    expect(Number(north.coldNight)).toBeLessThan(Number(here.coldNight));
    expect(draftOf(guess, { latitude: "60", coldNight: "5" }).coldNight).toBe("5");
  });
});

describe("a climate by two temperatures", () => {
  it("comes back from what it was taken for, and no season is colder than its own nights", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 45, noNaN: true }),
        fc.double({ min: 9, max: 60, noNaN: true }),
        (coldNightC, range) => {
          const said = { coldNightC, warmAfternoonC: coldNightC + range };
          const again = warmAndCold(climateFrom(said));
          expect(again.coldNightC).toBeCloseTo(said.coldNightC, 6);
          expect(again.warmAfternoonC).toBeCloseTo(said.warmAfternoonC, 6);
        },
      ),
    );
  });
  it("keeps its meaning where the units change, and knows two that were swapped", () => {
    const guess = guessFarm({ timeZone: "UTC", language: "en-GB", offsetMin: 0 }, ZONES);
    const changes = { warmAfternoon: "30", coldNight: "-10" };
    const turned = weatherIn("us", draftOf(guess, changes), changes);
    expect(turned).toEqual({ warmAfternoon: "86", coldNight: "14" });
    const [a, b] = [askedFarm(draftOf(guess, changes)), askedFarm(draftOf(guess, { ...turned, units: "us" }))];
    expect([b.climateMeanC, b.climateSwingC]).toEqual([a.climateMeanC, a.climateSwingC]);
    const swapped = draftOf(guess, { warmAfternoon: "5", coldNight: "25" });
    expect(isTurned(swapped)).toBe(true);
    expect(askedFarm(swapped).climateMeanC).toBeNaN();
  });
});

describe("setting up a farm", () => {
  beforeEach(() => localStorage.clear());
  const type = (label: string | RegExp, value: string) =>
    fireEvent.change(screen.getByLabelText(label), { target: { value } });

  it("asks for two names and a passphrase that it keeps nowhere, sends good answers for the rest, and forgets the draft then", async () => {
    const actions = fakeActions();
    renderWith(actions, <SetUpScreen zones={ZONES} canLookAround={false} canTakeIn={false} />);
    type("Name of the farm", "Own field");
    type("Your name", "Ana");
    type("New passphrase", "a dozen green pails");
    fireEvent.click(screen.getByRole("button", { name: "Set up farm" }));
    await waitFor(() =>
      expect(actions.setUpFarm.mock.calls[0]?.[0]).toMatchObject({ name: "Own field", people: ["Ana"], labourPerH: 0 }),
    );
    expect(JSON.stringify(localStorage)).not.toContain("green pails");
    await waitFor(() => expect(screen.getByLabelText("Name of the farm")).toHaveValue(""));
  });
  it("keeps what is typed over a reload, and sends nothing that can't be read", async () => {
    const actions = fakeActions();
    const first = renderWith(actions, <SetUpScreen zones={ZONES} canLookAround={false} canTakeIn={false} />);
    type("Name of the farm", "Own field");
    type(/^Latitude/, "far up");
    first.unmount();
    renderWith(actions, <SetUpScreen zones={ZONES} canLookAround={false} canTakeIn={false} />);
    expect(screen.getByLabelText("Name of the farm")).toHaveValue("Own field");
    expect(screen.getByLabelText(/^Latitude/)).toHaveValue("far up");
    type("Your name", "Ana");
    fireEvent.click(screen.getByRole("button", { name: "Set up farm" }));
    await waitFor(() => expect(screen.getByLabelText(/^Latitude/)).toHaveAttribute("aria-invalid", "true"));
    expect(actions.setUpFarm).not.toHaveBeenCalled();
  });
  it("takes the device's position by one tap", () => {
    const getCurrentPosition = jest.fn((found: (at: object) => void) =>
      found({ coords: { latitude: -12.3456, longitude: 7.8912 } }),
    );
    Object.defineProperty(navigator, "geolocation", { value: { getCurrentPosition }, configurable: true });
    renderWith(fakeActions(), <SetUpScreen zones={ZONES} canLookAround={false} canTakeIn={false} />);
    fireEvent.click(screen.getByRole("button", { name: "Use this device’s position" }));
    expect(screen.getByLabelText(/^Latitude/)).toHaveValue("-12.35");
    expect(screen.getByLabelText(/^Longitude/)).toHaveValue("7.89");
  });
});
