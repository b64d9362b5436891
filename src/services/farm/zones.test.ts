import { listZonePlaces, readZoneTable } from "./zones";

describe("the table of time zones", () => {
  it("reads positions in minutes and in seconds, and passes over what is no line of it", () => {
    expect(readZoneTable("#code\nXX\t+4830+01615\tAway/Town\nYY\t-334500-0703005\tAway/South\tnote\nrubbish")).toEqual([
      { zone: "Away/Town", country: "XX", latitudeDeg: 48.5, longitudeDeg: 16.25 },
      { zone: "Away/South", country: "YY", latitudeDeg: -33.75, longitudeDeg: -70.5 },
    ]);
  });
  it("lies on this machine, since bin/install sees to it", async () => {
    const places = await listZonePlaces();
    expect(places.length).toBeGreaterThan(300);
    expect(places.every(({ latitudeDeg }) => Math.abs(latitudeDeg) <= 90)).toBe(true);
  });
});
