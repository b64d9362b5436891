import fc from "fast-check";
import { columnsOf } from "./columns";
import { DomainError } from "../errors";
import { manyBeds, merged, numbered, pieceAreaM2, requireRing, snapped, snapShift, split, without } from "./edit";
import { landFromGeoJson, landToGeoJson, type Land } from "./geojson";
import { treatable, USUAL_BUFFER_M, type Mark } from "./marks";
import {
  areaM2,
  boundsOf,
  centreOf,
  circle,
  crossesItself,
  holds,
  moved,
  rectangle,
  sidesOf,
  turned,
  type Point,
  type Ring,
} from "./ring";

/** A star-shaped outline: any corners round a middle, in order. */
const rings: fc.Arbitrary<Ring> = fc
  .tuple(
    fc.array(fc.double({ min: 1, max: 30, noNaN: true }), { minLength: 3, maxLength: 14 }),
    fc.double({ min: -500, max: 500, noNaN: true }),
    fc.double({ min: -500, max: 500, noNaN: true }),
  )
  .map(([reaches, x, y]) =>
    reaches.map((reach, index): Point => {
      const angle = (2 * Math.PI * index) / reaches.length;
      return [x + reach * Math.cos(angle), y + reach * Math.sin(angle)];
    }),
  );
const degrees = fc.double({ min: -720, max: 720, noNaN: true });
const offsets = fc.double({ min: -2000, max: 2000, noNaN: true });
const codeOf = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof DomainError) return error.code;
    throw error;
  }
  return "none";
};

describe("an outline", () => {
  it("has the same area however it is drawn, turned or moved", () => {
    fc.assert(
      fc.property(rings, degrees, offsets, fc.nat(13), (ring, turn, far, from) => {
        const area = areaM2(ring);
        const start = from % ring.length;
        const again = [...ring.slice(start), ...ring.slice(0, start)];
        for (const other of [
          again,
          ring.toReversed(),
          turned(ring, turn),
          turned(ring, turn, [0, 0]),
          moved(ring, [far, -far]),
        ])
          expect(Math.abs(areaM2(other) - area)).toBeLessThan(1e-6 * area);
      }),
    );
  });
  it.each([
    [rectangle([3, 4], 1.2, 30), 36, [3.6, 19]],
    [
      [
        [0, 0],
        [4, 0],
        [0, 3],
      ] as Ring,
      6,
      [4 / 3, 1],
    ],
  ])("measures %#", (ring, area, centre) => {
    expect(areaM2(ring)).toBeCloseTo(area, 9);
    expect(centreOf(ring)[0]).toBeCloseTo(centre[0]!, 9);
    expect(centreOf(ring)[1]).toBeCloseTo(centre[1]!, 9);
  });
  it("of a tree has its circle's area", () => expect(areaM2(circle([5, 5], 2))).toBeCloseTo(Math.PI * 4, 9));
  it("says its two sides, however it lies", () => {
    const { widthM, lengthM } = sidesOf(turned(rectangle([0, 0], 1.2, 30), 37));
    expect(widthM).toBeCloseTo(1.2, 6);
    expect(lengthM).toBeCloseTo(30, 6);
  });
  it("knows what lies within it", () => {
    const ring = rectangle([0, 0], 2, 4);
    expect([holds(ring, [1, 1]), holds(ring, [3, 1]), holds(ring, [1, 5])]).toEqual([true, false, false]);
  });
  it("is refused where it says nothing", () => {
    expect(
      crossesItself([
        [0, 0],
        [2, 2],
        [2, 0],
        [0, 2],
      ]),
    ).toBe(true);
    expect(
      codeOf(() =>
        requireRing([
          [0, 0],
          [2, 2],
          [2, 0],
          [0, 2],
        ]),
      ),
    ).toBe("ring-crosses");
    expect(
      codeOf(() =>
        requireRing([
          [0, 0],
          [1, 1],
        ]),
      ),
    ).toBe("ring-corners");
    expect(
      codeOf(() =>
        requireRing([
          [0, 0],
          [1, 1],
          [2, 2],
        ]),
      ),
    ).toBe("out-of-range");
    expect(codeOf(() => requireRing(rectangle([0, 0], 2000, 2000)))).toBe("out-of-range");
    expect(requireRing(rectangle([0, 0], 1.2, 30))).toHaveLength(4);
  });
});

describe("working on outlines", () => {
  it("parts and joins without losing soil", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 8, noNaN: true }),
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        degrees,
        (width, length, share, turn) => {
          const bed = turned(rectangle([0, 0], width, length), turn, [0, 0]);
          const [a, b] = [
            [-1, length * share],
            [width + 1, length * share],
          ].map(([x, y]) => turned([[x!, y!]], turn, [0, 0])[0]!);
          const parts = split(bed, a!, b!);
          const sizes = parts.map(areaM2).toSorted((one, other) => one - other);
          const wanted = [width * length * share, width * length * (1 - share)].toSorted((one, other) => one - other);
          expect(sizes[0]).toBeCloseTo(wanted[0]!, 1);
          expect(sizes[1]).toBeCloseTo(wanted[1]!, 1);
          expect(areaM2(merged(parts))).toBeCloseTo(width * length, 1);
        },
      ),
      { numRuns: 60 },
    );
  });
  it("says where it can't", () => {
    const bed = rectangle([0, 0], 2, 10);
    expect(codeOf(() => split(bed, [5, 0], [5, 10]))).toBe("split-misses");
    expect(codeOf(() => split(bed, [1, 1], [1, 1]))).toBe("split-misses");
    expect(codeOf(() => merged([bed, moved(bed, [5, 0])]))).toBe("merge-apart");
    expect(codeOf(() => merged([]))).toBe("merge-apart");
    expect(merged([bed])).toBe(bed);
  });
  it("draws twelve beds at once, half a metre apart", () => {
    const beds = manyBeds({
      count: 12,
      widthM: 1.2,
      lengthM: 30,
      betweenM: 0.5,
      at: [10, 5],
      towards: "east",
      turnedDeg: 0,
    });
    expect(beds).toHaveLength(12);
    expect(boundsOf(beds.flat())).toEqual({
      minX: 10,
      minY: 5,
      maxX: expect.closeTo(10 + 12 * 1.2 + 11 * 0.5, 9),
      maxY: 35,
    });
    for (const bed of beds) expect(areaM2(bed)).toBeCloseTo(36, 9);
    const down = manyBeds({
      count: 3,
      widthM: 1,
      lengthM: 8,
      betweenM: 0.4,
      at: [0, 0],
      towards: "south",
      turnedDeg: 90,
    });
    expect(down.map(areaM2)).toEqual([expect.closeTo(8), expect.closeTo(8), expect.closeTo(8)]);
    expect(boundsOf(down.flat()).minX).toBeCloseTo(-3.8, 9);
  });
  it("numbers them past what is taken", () => {
    expect(numbered("Bed 9", 3, ["bed 10"])).toEqual(["Bed 9", "Bed 11", "Bed 12"]);
    expect(numbered("North", 2, [])).toEqual(["North 1", "North 2"]);
    expect(numbered("R01", 3, [])).toEqual(["R01", "R02", "R03"]);
  });
  it("lets a dragged corner fall on its neighbour's, or on the grid", () => {
    const other = rectangle([10, 10], 2, 2);
    expect(snapped([9.8, 10.1], [other], 0.5)).toEqual([10, 10]);
    expect(snapped([5.04, 5.26], [other], 0.5)).toEqual([5, 5.3]);
    expect(snapShift(rectangle([7.9, 10.1], 2, 2), [other], 0.5)).toEqual([expect.closeTo(0.1), expect.closeTo(-0.1)]);
    expect(snapShift(rectangle([0, 0], 2, 2), [other], 0.5)).toEqual([0, 0]);
  });
  it("takes away what is covered, and no more", () => {
    const bed = rectangle([0, 0], 2, 10);
    expect(without(bed, []).map(pieceAreaM2)).toEqual([20]);
    expect(without(bed, [rectangle([0, 4], 2, 2)]).map(pieceAreaM2)).toEqual([expect.closeTo(8), expect.closeTo(8)]);
    expect(without(bed, [rectangle([-1, -1], 4, 12)])).toEqual([]);
  });
});

describe("keeping away from water", () => {
  const stream: Mark = {
    kind: "stream",
    name: "Brook",
    line: [
      [-20, 20],
      [40, 20],
    ],
    bufferM: USUAL_BUFFER_M.stream,
  };
  it("treats the part of a bed that lies far enough", () => {
    const { areaM2: left, barredM2, near } = treatable(rectangle([0, 0], 1, 18), [stream]);
    expect(left).toBeCloseTo(15, 6);
    expect(barredM2).toBeCloseTo(3, 6);
    expect(near).toEqual(["Brook"]);
  });
  it("leaves what is far as it is, and bars all of what is close", () => {
    expect(treatable(rectangle([0, 0], 1, 10), [stream])).toMatchObject({ areaM2: 10, barredM2: 0, near: [] });
    expect(treatable(rectangle([0, 18], 1, 4), [stream])).toMatchObject({ areaM2: 0, pieces: [] });
    expect(treatable(rectangle([0, 18], 1, 4), [{ ...stream, bufferM: 0 }]).areaM2).toBeCloseTo(4, 9);
  });
  it("keeps a circle round a well", () => {
    const well: Mark = { kind: "well", name: "Old well", line: [[0, 0]], bufferM: 2 };
    expect(treatable(rectangle([-5, -5], 10, 10), [well]).barredM2).toBeCloseTo(Math.PI * 4, 2);
  });
  it("has an answer for every bed beside a stream and a well, whatever its place", () => {
    const waters: Mark[] = [
      {
        kind: "stream",
        name: "Ditch",
        bufferM: 5,
        line: [
          [51, 8],
          [49.5, 15],
          [46.5, 21],
          [45.5, 27],
          [42, 34],
        ],
      },
      { kind: "well", name: "Well", bufferM: 10, line: [[4, 29]] },
    ];
    const tenths = (min: number, max: number) =>
      fc.integer({ min: min * 10, max: max * 10 }).map((tenth) => tenth / 10);
    fc.assert(
      fc.property(
        tenths(20, 50),
        tenths(0, 34),
        tenths(1, 14),
        tenths(1, 3),
        fc.option(degrees),
        (x, y, width, length, turn) => {
          const bed = rectangle([x, y], width, length);
          const { areaM2: left, barredM2 } = treatable(turn === null ? bed : turned(bed, turn), waters);
          expect(left + barredM2).toBeCloseTo(width * length, 1);
        },
      ),
      { numRuns: 600 },
    );
    expect(treatable(rectangle([28.6, 24.6], 13, 2.4), waters).near).toEqual(["Ditch"]);
  });
  it("never lets more be treated than there is, and with more water never more", () => {
    fc.assert(
      fc.property(
        rings,
        fc.array(fc.tuple(offsets, offsets), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0.5, max: 40, noNaN: true }),
        (ring, points, bufferM) => {
          const line = points.map(([x, y]): Point => [x / 4, y / 4]);
          const one = treatable(ring, [{ kind: "stream", name: "a", line, bufferM }]);
          const two = treatable(ring, [
            { kind: "stream", name: "a", line, bufferM },
            { kind: "well", name: "b", line: [centreOf(ring)], bufferM: 1 },
          ]);
          expect(one.areaM2).toBeLessThanOrEqual(areaM2(ring) + 1e-6);
          expect(two.areaM2).toBeLessThanOrEqual(one.areaM2 + 0.05);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("GeoJSON", () => {
  const land: Land = {
    plots: [
      { name: "Bed 1", kind: "bed", ring: rectangle([0, 0], 1.2, 30) },
      { name: "Pear", kind: "tree", ring: circle([40, 10], 2) },
    ],
    marks: [
      {
        kind: "stream",
        name: "Brook",
        line: [
          [50, 0],
          [55, 40],
        ],
        bufferM: 6,
      },
      { kind: "tap", name: "Yard tap", line: [[3, 0]], bufferM: 0 },
    ],
  };
  it("out and in is the same land, anywhere on the globe", () => {
    fc.assert(
      fc.property(
        rings,
        fc.double({ min: -170, max: 170, noNaN: true }),
        fc.double({ min: -65, max: 65, noNaN: true }),
        (ring, longitudeDeg, latitudeDeg) => {
          const origin = { longitudeDeg, latitudeDeg };
          const [back] = landFromGeoJson(
            landToGeoJson({ plots: [{ name: "A", kind: "lawn", ring }], marks: [] }, origin),
            origin,
          ).plots;
          expect(back).toMatchObject({ name: "A", kind: "lawn" });
          expect(Math.abs(areaM2(back!.ring) - areaM2(ring))).toBeLessThan(0.02 * Math.sqrt(areaM2(ring)) + 0.01);
          const before = boundsOf(ring);
          const after = boundsOf(back!.ring);
          expect(Math.abs(after.minX - before.minX)).toBeLessThan(0.002);
          expect(Math.abs(after.maxY - before.maxY)).toBeLessThan(0.002);
        },
      ),
    );
  });
  it("keeps names, kinds, waters and their distances", () => {
    const origin = { longitudeDeg: 9, latitudeDeg: 48 };
    const back = landFromGeoJson(JSON.parse(JSON.stringify(landToGeoJson(land, origin))), origin);
    expect(back.marks).toEqual(
      land.marks.map((mark) => ({
        ...mark,
        line: mark.line.map(([x, y]) => [expect.closeTo(x, 2), expect.closeTo(y, 2)]),
      })),
    );
    expect(back.plots.map(({ name, kind }) => [name, kind])).toEqual([
      ["Bed 1", "bed"],
      ["Pear", "tree"],
    ]);
  });
  it("goes round as the standard wants it, and is as long as it is on the globe", () => {
    const { features } = landToGeoJson(land, { longitudeDeg: 0, latitudeDeg: 0 }) as {
      features: { geometry: { coordinates: number[][][] } }[];
    };
    const ring = features[0]!.geometry.coordinates[0]!;
    expect(ring[0]).toEqual(ring.at(-1));
    const twice = ring
      .slice(1)
      .reduce((sum, [x, y], index) => sum + (ring[index]![0]! * y! - x! * ring[index]![1]!), 0);
    expect(twice).toBeGreaterThan(0);
    // At the equator a degree of longitude is 111.32 km: WGS 84.
    expect(Math.max(...ring.map(([x]) => x!)) * 111_319.49).toBeCloseTo(1.2, 3);
  });
  it("lays land of its own at the plan's corner, and says where that is", () => {
    const square = [
      [
        [10, 50],
        [10.001, 50],
        [10.001, 50.001],
        [10, 50.001],
        [10, 50],
      ],
    ];
    const { plots, origin } = landFromGeoJson(
      { type: "Feature", properties: null, geometry: { type: "Polygon", coordinates: square } },
      null,
    );
    expect(origin).toEqual({ longitudeDeg: 10, latitudeDeg: 50.001 });
    expect(boundsOf(plots[0]!.ring)).toMatchObject({ minX: 0, minY: 0 });
    // 71.7 m by 111.2 m at 50 degrees.
    expect(areaM2(plots[0]!.ring)).toBeCloseTo(71.7 * 111.2, -2);
  });
  it.each<[string, unknown, string]>([
    ["no document", 7, "geojson-unreadable"],
    ["an empty one", { type: "FeatureCollection", features: [] }, "geojson-unreadable"],
    [
      "words for places",
      { type: "Feature", geometry: { type: "Point", coordinates: ["a", "b"] } },
      "geojson-unreadable",
    ],
    [
      "metres for degrees",
      { type: "Feature", geometry: { type: "Point", coordinates: [512_000, 5_400_000] } },
      "geojson-unreadable",
    ],
    [
      "nothing for a ring",
      { type: "Feature", geometry: { type: "Polygon", coordinates: [null] } },
      "geojson-unreadable",
    ],
    [
      "a line for an area",
      {
        type: "Feature",
        geometry: {
          type: "Polygon",
          coordinates: [
            [
              [1, 1],
              [1.0001, 1],
              [1, 1],
            ],
          ],
        },
      },
      "ring-corners",
    ],
    [
      "too many",
      { type: "FeatureCollection", features: Array.from({ length: 2001 }, () => null) },
      "geojson-unreadable",
    ],
  ])("refuses %s", (_what, document, code) => expect(codeOf(() => landFromGeoJson(document, null))).toBe(code));
});

describe("columns of beds", () => {
  it("hold every plot once, each column to the east of the one before", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 0, max: 80 }), fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 9 })),
          {
            maxLength: 60,
          },
        ),
        (boxes) => {
          const plots = boxes.map(([x, y, width], id) => ({ id, ring: rectangle([x, y], width, 1) }));
          const columns = columnsOf(plots);
          expect(columns.flatMap((column) => column.plots.map(({ id }) => id)).toSorted((a, b) => a - b)).toEqual(
            plots.map(({ id }) => id),
          );
          columns.slice(1).forEach((column, index) => expect(column.minX).toBeGreaterThanOrEqual(columns[index]!.minX));
        },
      ),
    );
  });
  it("are two for two banks of beds", () => {
    const bank = (x: number) => [0, 2, 4].map((y) => ({ ring: rectangle([x, y], 10, 1.2) }));
    expect(columnsOf([...bank(0), ...bank(12)]).map(({ plots }) => plots.length)).toEqual([3, 3]);
  });
});
