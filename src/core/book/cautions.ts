/** What can hurt someone, said where the work happens. Local code and licensed practice stand above every line here. */
export const CAUTIONS = {
  "electricity-at-water":
    "Pump and heater at the water: plug into a residual-current device, leave a drip loop, keep the plug under cover, and have the heater under water before it gets power.",
  "lifting": "A litre weighs a kilogram. Over 25 kg takes two people or a pump; a full drum is not moved.",
  "gas-pressure":
    "It makes gas. Keep the airlock wet or open the lid every day or two; stand clear when you open it, with air moving. Never lean into a tank or climb in.",
  "breathable-lid": "It makes gas. Cloth or paper over it, tied down; never a tight lid.",
  "poisonous-plants":
    "Only plants you can name and would dare to eat: no hemlock, foxglove, oleander, yew, lily of the valley or ragwort, and nothing unknown. Not from roadsides or sprayed ground.",
  "sugar-regrowth":
    "Sugared brews can let harmful germs grow again. Keep them off leaves that are eaten soon; your local code and certifier set the interval before harvest.",
  "spray-mist": "Mask and gloves when spraying. Wash your hands after. Not on produce ready to pick.",
  "mould": "Coloured mould, a putrid or sulphur smell, or maggots: not on crops. Hot-compost it, away from water.",
  "not-for-people":
    "Not for drinking and not for skin. Label it, keep it out of drink bottles and away from children and animals.",
  "runoff": "Keep mix and rinsings away from wells and streams.",
  "chlorine":
    "Mains water must be free of chlorine first. Standing and bubbling do not clear chloramine: that needs ascorbic acid or carbon.",
  "salty-plants": "Brackish or salty plants: rinse them or use less. Salt stays in the soil.",
} as const satisfies Record<string, string>;

export type CautionId = keyof typeof CAUTIONS;
