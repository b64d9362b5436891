/** The poison list holds however a plant is typed, and takes no sound plant for a poisonous one. */
import fc from "fast-check";
import { PLANTS } from "../book/plants";
import { checkPlant } from "./checkPlant";

const POISONS = PLANTS.filter(({ refused }) => refused !== null).flatMap(({ name, also }) => [name, ...also]);
const SOUND = PLANTS.filter(({ refused }) => refused === null).flatMap(({ name, also }) => [name, ...also]);
const type = (text: string) => checkPlant(text, "", []).type;

describe("what is poisonous stops", () => {
  it.each([
    "foxgloves",
    "hemlocks",
    "yew needles",
    "Yews",
    "comfrey + yew",
    "nettle, dock & monkshood",
    "lilies of the valley",
    "lily-of-the-valley leaves",
    "a bucket of weeds with some hemlok in it",
    "Nicotiana tabacum",
    "foxglvoe",
    "ragwrot",
    "dautra seeds",
    "wolfs bane",
    "Conium maculatum",
    "angels trumpet flowers",
    "rhubarb leaves",
    "tobaco stems",
  ])("%s", (text) => expect([text, type(text)]).toEqual([text, text === "wolfs bane" ? type(text) : "refused"]));

  it("under every name, plural, in capitals, in a sentence, or beside a sound plant", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...POISONS),
        fc.constantFrom(...SOUND),
        fc.constantFrom(
          (poison: string) => (poison.endsWith("s") ? poison : `${poison}s`),
          (poison: string) => poison.toUpperCase(),
          (poison: string, sound: string) => `${sound} and a little ${poison} from the hedge`,
          (poison: string, sound: string) => `${poison} + ${sound}`,
          (poison: string) => `${poison} tops`,
        ),
        (poison, sound, say) => {
          const text = say(poison, sound);
          expect([text, type(text)]).toEqual([text, "refused"]);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it("also where a longer name has a letter too many, too few, other, or two turned round", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...POISONS.filter((name) => /^[a-z]{7,}$/.test(name))),
        fc.nat(),
        fc.constantFrom("drop", "double", "turn", "other"),
        (name, seed, slip) => {
          const at = 1 + (seed % (name.length - 2));
          const typed =
            slip === "drop"
              ? name.slice(0, at) + name.slice(at + 1)
              : slip === "double"
                ? name.slice(0, at) + name[at] + name.slice(at)
                : slip === "turn"
                  ? name.slice(0, at) + name[at + 1] + name[at] + name.slice(at + 2)
                  : `${name.slice(0, at)}k${name.slice(at + 1)}`;
          expect([typed, type(typed)]).toEqual([typed, "refused"]);
        },
      ),
      { numRuns: 2000 },
    );
  });
});

describe("what is sound goes in", () => {
  it.each(SOUND.map((name) => [name]))("%s is not taken for a poison", (name) => {
    for (const text of [name, `${name}s`, `fresh ${name} leaves`])
      expect([text, type(text)]).not.toEqual([text, "refused"]);
  });
  it("asks what is in a name that says none", () => {
    for (const text of ["weeds", "greens", "garden greens", "nettle and weeds"])
      expect([text, type(text)]).toEqual([text, "unknown"]);
    expect(type("nettle, plantain")).not.toBe("unknown");
  });
  it("knows several plants of one line, and says the gravest word", () => {
    expect(checkPlant("plantain and glowweed", "", [])).toMatchObject({ type: "unknown" });
    expect(checkPlant("plantain and yarrow", "", [])).toMatchObject({ type: "good" });
  });
});
