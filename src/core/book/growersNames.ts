/**
 * What growers call the inputs, and which of them a name may mean. A name that means several is told apart by its sugar, water, air
 * and time before anything is scaled by it.
 */
export interface GrowersName {
  readonly name: string;
  /** Methods that it may mean, the likeliest first. */
  readonly methodIds: readonly string[];
}

const named = (name: string, ...methodIds: readonly string[]): GrowersName => ({ name, methodIds });

/** Names by the alphabet. */
export const GROWERS_NAMES: readonly GrowersName[] = [
  named("activated leachate", "leachate-bloom"),
  named("actively aerated tea", "aerated-tea"),
  named("biochar", "charged-char", "crushed-char"),
  named("brewed compost", "aerated-tea"),
  named("bubbled tea", "aerated-tea", "feeding-tea", "leachate-bloom"),
  named("calcium vinegar", "shell-calcium"),
  named("castings tea", "aerated-tea", "feeding-tea"),
  named("char tea", "char-green-liquid"),
  named("comfrey tea", "leaf-soak", "cultured-extract"),
  named("compost tea", "aerated-tea", "feeding-tea"),
  named("culture", "lactic-serum"),
  named("dung tea", "drum-manure-tea", "dung-flour-ferment"),
  named("eggshell vinegar", "shell-calcium"),
  named("fermented plant extract", "cultured-extract"),
  named("fermented plant juice", "plant-juice", "cultured-extract"),
  named("forest brew", "leaf-mould-brew"),
  named("green manure tea", "leaf-soak"),
  named("inoculated char", "charged-char"),
  named("lactic acid bacteria", "lactic-serum"),
  named("leachate", "leachate-bloom"),
  named("leaf-mould tea", "leaf-mould-brew"),
  named("liquid manure", "drum-manure-tea", "leaf-soak"),
  named("manure tea", "drum-manure-tea", "dung-flour-ferment"),
  named("milk serum", "lactic-serum", "milk-spray"),
  named("nettle tea", "leaf-soak", "cultured-extract"),
  named("plant extract", "cultured-extract", "leaf-soak"),
  named("plant juice", "plant-juice"),
  named("plant liquid", "leaf-soak", "cultured-extract", "plant-juice"),
  named("potato brew", "leaf-mould-brew"),
  named("rice wash serum", "lactic-serum", "rice-wash"),
  named("rice water", "rice-wash", "lactic-serum"),
  named("sack tea", "drum-manure-tea"),
  named("serum", "lactic-serum"),
  named("slurry", "drum-manure-tea", "dung-flour-ferment"),
  named("sour bran", "bran-starter"),
  named("syrup", "plant-juice"),
  named("weed tea", "leaf-soak"),
  named("whey spray", "milk-spray"),
  named("worm tea", "aerated-tea", "leachate-bloom"),
  named("worm water", "leachate-bloom"),
];

/** The names that growers have for a method. */
export const namesOf = (methodId: string): readonly string[] =>
  GROWERS_NAMES.filter(({ methodIds }) => methodIds.includes(methodId)).map(({ name }) => name);
