import type { Figure, FigureName, NamedFigure } from "@/core/errors";

/** What a figure stands for, as a sentence begins with it. */
export const FIGURES: Readonly<Record<FigureName, string>> = {
  "air-temperature": "The air",
  "acid-strength": "The acid",
  "amount": "The amount",
  "area": "Its area",
  "batch-age": "The batch's age",
  "blend-part": "A part of the blend",
  "brew-days": "The days that it brews",
  "brew-temperature": "The brew",
  "brew-volume": "The brew",
  "chlorine-free": "Free chlorine",
  "chlorine-total": "Total chlorine",
  "concentrate": "The concentrate",
  "coolest": "The coolest that the place gets",
  "diameter": "The diameter",
  "gap-days": "The days between two",
  "headspace": "The headspace",
  "heaviest-lift": "The heaviest lift",
  "injector-parts": "The injector's parts of water",
  "injector-tank": "The injector's tank",
  "labour": "Labour",
  "land-area": "The land",
  "load": "A load",
  "mix-rate": "The rate",
  "mix-volume": "The whole mix",
  "plot-count": "The number of plots",
  "plot-least": "What a plot gets at the least",
  "plot-wish": "What a plot would get",
  "power": "Power",
  "price-amount": "The amount that a price is for",
  "purity": "The purity",
  "rest-days": "The days of rest",
  "shell-mass": "The shell",
  "soaking-count": "The number of soakings",
  "temperature": "The temperature",
  "tool-step": "The step",
  "tool-volume": "The tool",
  "total": "The total",
  "there-is": "What there is",
  "vessel": "The vessel",
  "vessel-count": "The number of vessels",
  "vessel-depth": "The depth",
  "vinegar": "The vinegar",
  "volume": "The volume",
  "wanted-amount": "The wanted amount",
  "warm-up-time": "The time to warm it",
  "water": "The water",
  "water-days": "The days that the water stands",
  "worm-weight": "The weight of worms",
  "yield": "The yield",
};

/** The same for figures that belong to something with a name. */
export const NAMED: { readonly [F in NamedFigure]: (of: string) => string } = {
  "at-hand": (of) => `The ${of} at hand`,
  "cost-line": (of) => `The cost of ${of}`,
  "ingredient-amount": (of) => `The ${of}`,
  "measure": (of) => `The measure "${of}"`,
  "plot-area": (of) => `The area of plot "${of}"`,
  "plot-mix": (of) => `What plot "${of}" gets`,
  "plot-plants": (of) => `The number of plants of plot "${of}"`,
};

/** The figure that a refusal is about, as a sentence begins with it. */
export const sayFigureName = (figure: Figure): string =>
  typeof figure === "string" ? FIGURES[figure] : NAMED[figure[0]](figure[1]);
