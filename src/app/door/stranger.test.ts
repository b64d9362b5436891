import { strangeness } from "./stranger";

const asked = (headers: Record<string, string>) => strangeness(new Headers(headers));
const HOST = { host: "127.0.0.1:3200" };

afterEach(() => {
  delete process.env.RUCHKA_HOSTS;
});

it.each<[string, Record<string, string>, "host" | "origin" | null]>([
  ["the farm's own page", { ...HOST, "origin": "http://127.0.0.1:3200", "sec-fetch-site": "same-origin" }, null],
  ["an address typed by hand", { ...HOST, "sec-fetch-site": "none" }, null],
  ["a device, which is no browser", HOST, null],
  ["this machine by its other names", { host: "localhost:3200", origin: "http://localhost:3200" }, null],
  ["this machine in six", { host: "[::1]:3200", origin: "http://[::1]:3200" }, null],
  ["another site's page", { ...HOST, "origin": "http://evil.example", "sec-fetch-site": "cross-site" }, "origin"],
  ["another site's page from an old browser", { ...HOST, origin: "http://evil.example" }, "origin"],
  [
    "another site's page with its metadata emptied",
    { ...HOST, "origin": "http://evil.example", "sec-fetch-site": "" },
    "origin",
  ],
  [
    "another program on this machine",
    { ...HOST, "origin": "http://127.0.0.1:8080", "sec-fetch-site": "same-site" },
    "origin",
  ],
  ["a page in a frame without an origin", { ...HOST, origin: "null" }, "origin"],
  [
    "a name that somebody else points at this machine",
    { host: "evil.example:3200", origin: "http://evil.example:3200" },
    "host",
  ],
  ["a name that only a proxy's header gives", { "host": "evil.example", "x-forwarded-host": "127.0.0.1:3200" }, "host"],
  ["no name at all", {}, "host"],
])("%s", (_who, headers, answer) => expect(asked(headers)).toBe(answer));

it("answers to the names of the settings too", () => {
  process.env.RUCHKA_HOSTS = "farm.local, 10.0.0.5";
  expect(asked({ host: "farm.local:3200", origin: "http://farm.local:3200" })).toBeNull();
  expect(asked({ host: "10.0.0.5" })).toBeNull();
  expect(asked({ host: "10.0.0.6" })).toBe("host");
});
