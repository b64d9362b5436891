import type { IngredientId } from "@/core/book/ingredients";

/** What a thing stands in. */
export type HolderKind = "bottle" | "jug" | "jar" | "crock" | "sack" | "bin" | "tub" | "heap" | "bundle";
/** How what is in it looks close to. */
export type Grain = "liquid" | "fine" | "crumb" | "lump" | "flake" | "straw" | "shell" | "leaf";

/** By what a thing is known on a shelf without reading: what it stands in, its colour, its grain, about how large it is. */
export interface Look {
  readonly holder: HolderKind;
  /** The same by day and at dusk. */
  readonly colour: string;
  readonly grain: Grain;
  /** Of the tallest, 0.6 to 1. */
  readonly size: number;
}

const look = (holder: HolderKind, colour: string, grain: Grain, size = 0.85): Look => ({ holder, colour, grain, size });

/** Thirty on one shelf are told apart by two of these at least. */
const LOOKS: Readonly<Record<IngredientId, Look>> = {
  "water": look("tub", "#9fbdd0", "liquid", 0.9),
  "soak-water": look("tub", "#8fb0c4", "liquid", 0.8),
  "molasses": look("jug", "#2e1812", "liquid", 0.9),
  "brown-sugar": look("jar", "#a5692c", "crumb", 0.75),
  "white-sugar": look("jar", "#f3efe6", "fine", 0.7),
  "raw-sugar": look("jar", "#c99a55", "crumb", 0.7),
  "castings": look("tub", "#3a281c", "crumb", 0.8),
  "compost": look("heap", "#2f2119", "crumb", 1),
  "kelp-meal": look("sack", "#5a6b42", "flake", 0.85),
  "rock-dust": look("sack", "#8d939b", "fine", 0.95),
  "shell-meal": look("sack", "#d9b79a", "flake", 0.75),
  "fish-hydrolysate": look("jug", "#8a5a3a", "liquid", 0.8),
  "seaweed-extract": look("bottle", "#3d4a26", "liquid", 0.9),
  "leachate": look("jug", "#6b4a24", "liquid", 0.75),
  "bacterial-starter": look("bottle", "#b9b48a", "liquid", 0.7),
  "potato": look("bin", "#c9a064", "lump", 0.75),
  "sea-salt": look("jar", "#dfe6ea", "shell", 0.65),
  "leaf-mould": look("heap", "#6b4a2e", "flake", 0.8),
  "rice": look("bin", "#efe6d0", "flake", 0.8),
  "rice-wash": look("bottle", "#ddd8c4", "liquid", 0.8),
  "milk": look("bottle", "#f6f1e4", "liquid", 0.85),
  "whey": look("bottle", "#e6dfa6", "liquid", 0.75),
  "lactic-culture": look("bottle", "#d8d394", "liquid", 0.9),
  "plant": look("bundle", "#5f8f63", "leaf", 0.95),
  "legume-leaf": look("bundle", "#8aa84e", "leaf", 0.85),
  "coconut-water": look("jug", "#dbe3d2", "liquid", 0.7),
  "local-starter": look("bottle", "#a98f5a", "liquid", 0.8),
  "eggshell": look("crock", "#e6c9a4", "shell", 0.7),
  "vinegar": look("bottle", "#c9962f", "liquid", 1),
  "dung-aged": look("heap", "#4d3b22", "lump", 0.85),
  "dung-fresh": look("tub", "#5b4a20", "lump", 0.85),
  "manure-aged": look("heap", "#57402a", "straw", 0.95),
  "pulse-flour": look("sack", "#dcc06a", "fine", 0.7),
  "urine": look("jug", "#d9b83c", "liquid", 0.85),
  "ash": look("bin", "#a9a7a2", "fine", 0.7),
  "char": look("bin", "#26292b", "lump", 0.9),
  "greens": look("heap", "#7fa03c", "straw", 0.75),
  "bran": look("sack", "#cf9a55", "flake", 0.9),
  "dry-leaves": look("heap", "#a8763c", "leaf", 0.9),
  "sugar-water": look("jar", "#e9dcc0", "liquid", 0.7),
  "honey": look("jar", "#dd9c1e", "liquid", 0.65),
  "bought-culture": look("bottle", "#cfd6b0", "liquid", 0.65),
  "potato-mash": look("crock", "#e6cf8f", "fine", 0.75),
  "oat-flour": look("sack", "#e8dcc0", "fine", 0.7),
  "guano": look("sack", "#a08a66", "crumb", 0.75),
  "repellent-plant": look("bundle", "#9c4a3a", "leaf", 0.75),
  "shell-raw": look("tub", "#efdcc2", "shell", 0.65),
  "char-lump": look("tub", "#33363a", "lump", 0.75),
  "scraps": look("tub", "#b5863f", "lump", 0.7),
  "jaggery": look("crock", "#8f5a22", "lump", 0.65),
  "palm-sugar": look("crock", "#b07d3e", "crumb", 0.65),
  "fruit-juice": look("bottle", "#b3452f", "liquid", 0.85),
  "yogurt": look("crock", "#f4efe0", "liquid", 0.6),
  "buttermilk": look("jug", "#f0e9d2", "liquid", 0.7),
  "bread-yeast": look("jar", "#bfa06a", "crumb", 0.6),
  "wheat-flour": look("sack", "#f0e8d6", "fine", 0.75),
  "alfalfa-meal": look("sack", "#6f8f3f", "crumb", 0.8),
  "seed-meal": look("sack", "#8a7a3a", "crumb", 0.8),
  "seaweed-fresh": look("bundle", "#4a4f1f", "straw", 0.85),
  "fish-scraps": look("crock", "#b98f8f", "lump", 0.75),
  "fruit-waste": look("heap", "#b3423a", "lump", 0.65),
  "bone-raw": look("bin", "#efe6d2", "straw", 0.7),
  "sea-shell": look("tub", "#d8cfc6", "shell", 0.75),
  "rock-phosphate": look("sack", "#b59a7d", "fine", 0.8),
  "gypsum": look("sack", "#efe9e6", "lump", 0.8),
  "garden-soil": look("heap", "#5a3f2c", "lump", 0.75),
  "straw": look("heap", "#d9b860", "straw", 1),
  "ascorbic-acid": look("jar", "#fbfaf2", "crumb", 0.6),
  "soft-soap": look("jug", "#c8a24a", "liquid", 0.65),
  "other-solid": look("bin", "#b7a58c", "crumb", 0.7),
  "other-liquid": look("jug", "#a9b4b0", "liquid", 0.7),
};

/** How an ingredient looks on a shelf; one of the farm's own looks like what it counts as. */
export const lookOf = (id: string): Look => LOOKS[id as IngredientId] ?? LOOKS["other-solid"];
