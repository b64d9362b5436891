/** What can hurt someone, said where the work happens. Local code and licensed practice stand above every line here. */
export const CAUTIONS = {
  "electricity-at-water":
    "Pump and heater at the water: plug into a residual-current device, leave a drip loop, keep the plug under cover, and have the heater under water before it gets power.",
  "lifting": "Liquid is heavy: 20 L weighs 20 kg. Over 25 kg takes two people or a pump; a full drum is not moved.",
  "gas-pressure":
    "It makes gas: keep the airlock wet or open the lid every day or two; stand clear when you open it, with air moving. Never lean into a tank or climb in.",
  "breathable-lid": "It makes gas: cloth or paper over it, tied down; never a tight lid.",
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
  "manure":
    "Raw dung carries germs. Soil only, never on leaves that are eaten. Many organic rules ask 120 days before harvest where what is eaten touches soil, 90 where it does not. Your local code and certifier decide.",
  "urine":
    "Human urine: stored a month at the least, six for food eaten raw; soil only, never in the last month. Many buyers and codes bar it from produce that is sold.",
  "herbicide":
    "Hay, straw, grass and dung may carry weedkiller that survives the heap: sow three beans in it first and wait two weeks.",
  "tank-gas":
    "Carbon dioxide and hydrogen sulphide gather in drums and low sheds. Open it outdoors, stand upwind, never lean in or climb in.",
  "caustic-ash":
    "Ash is as caustic as drain cleaner when wet: gloves, eye cover, mask. White ash stays out of char and away from urine.",
  "acid-hands": "Vinegar burns eyes and skin: gloves and goggles, water on hand. Acid first, shell into it slowly.",
  "acid-gas":
    "Ten litres of gas come off every litre of vinegar: never seal it, keep air moving in the room, leave a third of the jar for foam.",
  "hot-pan": "A hot pan and boiling water: gloves, and nobody small underfoot.",
  "char-dust": "Char, ash, bran and mould dust harm lungs: mask on, wet it before you handle it.",
  "shellfish": "Shell dust can set off shellfish or egg allergies. Say so on the label.",
  "sodium": "Salt stays in the soil. Weigh it, count it, and don't pour salted inputs on the same bed again and again.",
  "salts": "Strong feeds scorch. Read the conductivity of the mix, and try it on a few plants first.",
  "root-burn": "Undiluted it burns growing roots: 1:10 at the very strongest, 1:20 to be careful.",
  "leaf-eaten-soon":
    "Never on leaves that are eaten soon. Your local code and certifier set the interval before harvest.",
  "nicotine":
    "No nicotine plants: they poison people and carry virus to tomatoes and their kin. Off unless you give a reason, and never on food.",
  "mosquitoes": "Open water breeds mosquitoes within a week: a lid, or fine net.",
  "fish-smell": "Fish draws dogs, foxes and rats: lid, and clean up what is spilt.",
  "milk":
    "Milk on leaves harms who must not eat milk, and raw milk carries germs: say so to whoever buys them, and keep it off what is eaten soon.",
  "shell-dust": "Dust of shells and eggs harms lungs and can set off allergies: mask and goggles when you crush them.",
  "wounds": "Cover cuts before you touch dung or urine; gloves, and wash hands and arms after.",
  "drowning": "A child or an animal can drown in an open drum: a fastened lid or net whenever nobody stands at it.",
  "strong-vinegar":
    "Vinegar above 10 % acid burns like a drain cleaner: goggles and long gloves, thin it to 5 % outdoors, acid into water.",
  "kitchen-apart": "Kitchen and farm tools stay apart: what has touched a brew doesn't go back to the kitchen.",
  "salty-plants": "Brackish or salty plants: rinse them or use less. Salt stays in the soil.",
} as const satisfies Record<string, string>;

export type CautionId = keyof typeof CAUTIONS;
