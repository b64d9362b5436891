import { lotHold, lotState, type LotFacts, type LotHappening } from "./lotState";

const lot = (ingredientId: string, change: Partial<LotFacts> = {}): LotFacts => ({
  ingredientId,
  receivedOn: "2031-01-01",
  expiresOn: null,
  place: "shelf",
  provenance: {},
  ...change,
});
const event = (kind: LotHappening["kind"], onDay: string, word = ""): LotHappening => ({ kind, onDay, word });
const holdOn = (day: string, facts: LotFacts, events: readonly LotHappening[] = []) =>
  lotHold(facts, lotState(facts, events), day);

describe("a lot as it stands", () => {
  it("moves, is opened, and spoils sooner for it", () => {
    const facts = lot("milk", { expiresOn: "2031-01-08" });
    const state = lotState(facts, [
      event("place", "2031-01-02", "cellar"),
      event("opened", "2031-01-03"),
      event("place", "2031-01-04", "ice box"),
    ]);
    expect(state).toMatchObject({ place: "ice box", openedOn: "2031-01-03", expiresOn: "2031-01-06" });
  });
  it("keeps to the day that somebody gave it last, whatever it said before", () => {
    const state = lotState(lot("milk", { expiresOn: "2031-01-08" }), [
      event("opened", "2031-01-03"),
      event("expiry", "2031-01-04", "2031-01-20"),
    ]);
    expect(state.expiresOn).toBe("2031-01-20");
  });
});

describe("what is on hold", () => {
  it.each([
    ["castings", "sticky, rancid", false],
    ["castings", "holds, then crumbles", true],
    ["compost", "of ammonia, or slimy", false],
    ["leaf-mould", "few threads, dry at the edges", true],
    ["leaf-mould", "sour or dead", false],
  ])("holds %s that is %s by a handful: passes %s", (id, word, passes) => {
    const hold = holdOn("2031-01-10", lot(id), [event("vigour", "2031-01-05", word)]);
    expect(hold).toEqual(passes ? null : { hard: false, because: { code: "handful", word } });
  });
  it("goes by the latest handful", () =>
    expect(
      holdOn("2031-01-10", lot("castings"), [
        event("vigour", "2031-01-05", "drips"),
        event("vigour", "2031-01-07", "holds, then crumbles"),
      ]),
    ).toBeNull());
  it("holds urine for a month after the last of it", () => {
    const urine = lot("urine", {
      provenance: {
        urine: { donor: "person", collectedFrom: "2031-01-01", collectedUntil: "2031-01-10", medicine: false },
      },
    });
    expect(holdOn("2031-02-08", urine)).toMatchObject({ hard: false });
    expect(holdOn("2031-02-08", urine)!.because).toMatchObject({ code: "urine-stored", notBefore: "2031-02-09" });
    expect(holdOn("2031-02-09", urine)).toBeNull();
  });
  it("holds dung that may carry weedkiller until three beans have come up straight", () => {
    const dung = lot("dung-aged", { provenance: { herbicideSuspected: true } });
    expect(lotState(dung, []).hazards[0]!.because).toEqual({ code: "herbicide-untested" });
    expect(holdOn("2031-01-20", dung)).toMatchObject({ hard: false });
    expect(holdOn("2031-02-20", dung, [event("beans-sown", "2031-01-10")])!.because.code).toBe("beans-sown");
    expect(
      holdOn("2031-01-24", dung, [event("beans-sown", "2031-01-10"), event("beans-clean", "2031-01-24")]),
    ).toBeNull();
    expect(
      holdOn("2031-01-24", dung, [event("beans-sown", "2031-01-10"), event("beans-damaged", "2031-01-24")]),
    ).toMatchObject({ hard: true });
  });
  it("never lets in a medicated donor's urine, treated wood's char or what nobody knows the burning of", () => {
    const of = (charSource: "plain wood" | "briquettes" | "unknown" | "treated or painted wood") =>
      holdOn("2031-03-01", lot("char", { provenance: { charSource } }));
    expect(of("plain wood")).toBeNull();
    for (const source of ["briquettes", "unknown", "treated or painted wood"] as const)
      expect(of(source)).toMatchObject({ hard: true });
    expect(
      holdOn(
        "2031-06-01",
        lot("urine", {
          provenance: {
            urine: { donor: "person", collectedFrom: "2031-01-01", collectedUntil: "2031-01-02", medicine: true },
          },
        }),
      ),
    ).toMatchObject({ hard: true });
  });
  it("holds what is expired by a word that a reason lifts, and a live culture that stood hot", () => {
    expect(holdOn("2031-02-01", lot("bought-culture", { expiresOn: "2031-01-31" }))).toMatchObject({ hard: false });
    expect(holdOn("2031-02-01", lot("molasses", { expiresOn: "2031-01-31" }))).toMatchObject({ hard: false });
    expect(holdOn("2031-01-31", lot("molasses", { expiresOn: "2031-01-31" }))).toBeNull();
    expect(holdOn("2031-01-05", lot("bought-culture"), [event("stored-hot", "2031-01-02")])!.because.code).toBe(
      "stood-hot",
    );
    expect(holdOn("2031-01-05", lot("molasses", { provenance: { storedHot: true } }))).toBeNull();
  });
  it("says of every age of dung that it carries germs", () => {
    for (const age of ["fresh", "dry", "aged", "composted"] as const) {
      const { hazards } = lotState(
        lot("dung-aged", { provenance: { dung: { animal: "cow", age, heapedOn: null } } }),
        [],
      );
      expect(hazards).toEqual([expect.objectContaining({ caution: "manure", blocks: false })]);
    }
  });
});
