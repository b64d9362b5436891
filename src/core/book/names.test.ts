import { claimsOf, CLAIMS } from "./claims";
import { familyTree, type FamilyBranch } from "./family";
import { GROWERS_NAMES, namesOf } from "./growersNames";
import { findMethod, METHODS } from "./index";

const all = (branches: readonly FamilyBranch[]): string[] =>
  branches.flatMap(({ method, branches: below }) => [method.id, ...all(below)]);

const below = (branches: readonly FamilyBranch[], id: string): string[] =>
  branches.flatMap((branch) => (branch.method.id === id ? all(branch.branches) : below(branch.branches, id)));

describe("growers' names", () => {
  it.each(GROWERS_NAMES)("$name means methods that there are, each once", ({ methodIds }) => {
    expect(methodIds.length).toBeGreaterThan(0);
    expect(new Set(methodIds).size).toBe(methodIds.length);
    for (const id of methodIds) expect(findMethod(id).id).toBe(id);
  });

  it("stand by the alphabet, none twice", () => {
    const names = GROWERS_NAMES.map(({ name }) => name);
    expect(names).toEqual([...new Set(names)].sort((a, b) => a.localeCompare(b, "en")));
  });

  it("tell apart what one name means: no two of its methods share sugar, water, air and time", () => {
    for (const { methodIds } of GROWERS_NAMES) {
      const told = methodIds.map((id) => JSON.stringify(findMethod(id).lookAlike));
      expect(new Set(told).size).toBe(told.length);
    }
  });

  it("are known of each input that is told apart by them", () => {
    expect(namesOf("lactic-serum")).toEqual(expect.arrayContaining(["culture", "lactic acid bacteria", "rice water"]));
    expect(namesOf("roasted-shell")).toEqual([]);
  });
});

describe("the family tree", () => {
  const tree = familyTree();

  it("has every method, and ends", () => {
    expect(new Set(all(tree))).toEqual(new Set(METHODS.map(({ id }) => id)));
    expect(all(tree).length).toBeLessThan(200);
  });

  it("goes from rice wash by the serum to the extract", () => {
    expect(below(tree, "rice-wash")).toContain("lactic-serum");
    expect(below(tree, "lactic-serum")).toContain("cultured-extract");
    expect(below(tree, "worm-castings")).toContain("aerated-tea");
  });

  it("has at its roots only what no other method feeds", () => {
    for (const { method } of tree) expect(all(tree.flatMap(({ branches }) => branches))).not.toContain(method.id);
  });

  it("shows no product below itself", () => {
    const check = (branch: FamilyBranch, above: readonly string[]): void => {
      expect(above).not.toContain(branch.method.id);
      for (const next of branch.branches) check(next, [...above, branch.method.id]);
    };
    for (const branch of tree) check(branch, []);
  });
});

describe("what is said of inputs", () => {
  it.each(CLAIMS)("$id is told of methods that there are, with what is known", ({ methodIds, known }) => {
    for (const id of methodIds) expect(findMethod(id).id).toBe(id);
    expect(known.length).toBeGreaterThan(30);
  });

  it("has health among all, and lime with the shell only", () => {
    expect(CLAIMS.find(({ id }) => id === "skin")?.methodIds).toEqual([]);
    expect(claimsOf("shell-calcium").map(({ id }) => id)).toEqual(["lime"]);
  });
});
