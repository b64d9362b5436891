import fc from "fast-check";
import { joinCode, mayAs, passphraseFault, pinFault, readCode, ROLES } from "./roles";

describe("roles", () => {
  it("are in order: each may what those before it may", () => {
    for (const role of ROLES)
      for (const least of ROLES) expect(mayAs(role, least)).toBe(ROLES.indexOf(role) >= ROLES.indexOf(least));
  });
});

describe("a code", () => {
  it("is read back however it is typed: in capitals, in one word, with spaces", () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 16, maxLength: 16 }), (bytes) => {
        const code = joinCode(bytes);
        expect(code).toMatch(/^([a-z2-9]{4}-){3}[a-z2-9]{4}$/);
        expect(readCode(code.toUpperCase().replaceAll("-", " "))).toBe(readCode(code));
        expect(code).not.toMatch(/[il01o]/);
      }),
    );
  });
  it("differs where the bytes do, nearly always", () => {
    const codes = new Set(
      fc.sample(fc.uint8Array({ minLength: 16, maxLength: 16 }), 500).map((bytes) => joinCode(bytes)),
    );
    expect(codes.size).toBeGreaterThan(400);
  });
});

describe("a passphrase", () => {
  it.each<[string, ReturnType<typeof passphraseFault>]>([
    ["nettles in the rain", null],
    ["Brennnesseln im Regen", null],
    ["eleven char", "short"],
    ["            ", "short"],
    ["aaaaaaaaaaaaaaaa", "alike"],
    ["Quillet Field", "name"],
    ["quillet-field!", "name"],
    ["ведро под крышей", null],
  ])("%j: %s", (passphrase, fault) => expect(passphraseFault(passphrase, ["Ana", "Quillet Field"])).toBe(fault));
});

describe("a PIN", () => {
  it.each<[string, ReturnType<typeof pinFault>]>([
    ["4071", null],
    ["40718812", null],
    ["407", "short"],
    ["407188123", "short"],
    ["40a1", "short"],
    ["1111", "row"],
    ["1234", "row"],
    ["9876", "row"],
    ["1357", null],
  ])("%s: %s", (pin, fault) => expect(pinFault(pin)).toBe(fault));
});
