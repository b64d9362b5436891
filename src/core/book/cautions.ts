/** What can hurt someone, said where the work happens. Local law and licensed practice stand above every line here. */
export const CAUTIONS = {
  "electricity-at-water":
    "Electricity and water can kill you. Plug the pump and heater into a safety switch (RCD, GFCI). Keep plugs dry and cables hanging lower than the plug. Put the heater under water before you switch it on.",
  "lifting":
    "Heavy lifts hurt your back: 20 L weighs 20 kg. Over 25 kg use 2 people or a pump. Do not move a full drum.",
  "gas-pressure":
    "Gas can blow the lid in your face and choke you. Keep the airlock filled, or open the lid every 1 to 2 days. Stand to the side, in moving air. Never lean or climb in.",
  "breathable-lid":
    "Gas bursts a closed vessel and can hurt you. Cover it with cloth or paper, tied down. Never a tight lid.",
  "poisonous-plants":
    "Some plants poison people. Use only plants you know: no hemlock, foxglove, oleander, yew, lily of the valley or ragwort. Nothing from roadsides or sprayed ground.",
  "sugar-regrowth":
    "Germs in sugar brews can make people ill. Keep off leaves that are eaten soon. Local law and your certifier set the days before harvest.",
  "spray-mist":
    "Spray mist harms lungs and eyes. Wear mask and gloves, wash your hands after. Not on produce ready to pick.",
  "mould":
    "Coloured mould, a rotten or rotten-egg smell, or maggots can poison people. Never use it on crops. Put it on hot compost, away from water.",
  "not-for-people":
    "Do not drink. Keep off skin. Label it, keep it out of drink bottles and away from children and animals.",
  "runoff": "Runoff poisons wells and streams. Keep mix and rinse water away from them.",
  "chlorine":
    "Chlorine in tap water kills the culture. Remove it first. Standing or bubbling does not remove chloramine: use vitamin C or a carbon filter.",
  "manure":
    "Germs in raw dung make people ill. On soil only, never on leaves that are eaten. Many organic rules ask 120 days before harvest where food touches soil, 90 where it does not. Local law and your certifier decide.",
  "urine":
    "Germs in urine make people ill. Store it at least 1 month, 6 months for food eaten raw. On soil only, never in the last month. Many buyers and laws forbid it on produce that is sold.",
  "herbicide":
    "Weedkiller in hay, straw, grass or dung kills crops and survives composting. Sow 3 beans in it first and wait 2 weeks.",
  "tank-gas": "Gas in drums and low sheds can kill you. Open outdoors, stand upwind, never lean or climb in.",
  "caustic-ash": "Wet ash burns skin and eyes. Wear gloves, goggles and mask. Keep white ash out of char and urine.",
  "acid-hands":
    "Vinegar burns eyes and skin. Wear gloves and goggles, have water at hand. Acid first, then add shell slowly.",
  "acid-gas":
    "1 L of vinegar makes 10 L of gas; it bursts a closed jar and can hurt you. Never close it tight, air the room, leave a third of the jar for foam.",
  "hot-pan": "A hot pan and boiling water burn. Wear gloves. Keep children away.",
  "char-dust": "Dust of char, ash, bran and mould harms lungs. Wear a mask, wet it before you handle it.",
  "shellfish": "Shell dust can cause shellfish or egg allergies. Write it on the label.",
  "sodium": "Salt harms soil and stays there. Weigh it, and do not use salty inputs on one bed again and again.",
  "salts": "Strong feeds burn leaves. Measure the conductivity and patch test first.",
  "root-burn": "Undiluted it burns roots. 1:10 at the very strongest, 1:20 to be careful.",
  "leaf-eaten-soon":
    "Germs can make people ill. Never on leaves that are eaten soon. Local law and your certifier set the days before harvest.",
  "nicotine":
    "Nicotine plants poison people and carry a virus to tomatoes. Do not use them on food. Elsewhere give a reason.",
  "mosquitoes": "Mosquitoes breed in open water within a week. Cover it with a lid or fine net.",
  "fish-smell": "Fish attracts dogs, foxes and rats. Use a lid and clean up what is spilled.",
  "milk":
    "Milk on leaves harms people with a milk allergy, and raw milk carries germs. Tell buyers, and keep it off what is eaten soon.",
  "shell-dust":
    "Dust of shells and eggs harms lungs and can cause allergies. Wear mask and goggles when you crush them.",
  "wounds":
    "Germs enter through cuts. Cover cuts before you touch dung or urine; wear gloves, wash hands and arms after.",
  "drowning": "A child or an animal can drown in an open drum. Fasten a lid or net whenever nobody is there.",
  "strong-vinegar":
    "Vinegar above 10% acid burns like drain cleaner. Wear goggles and long gloves. Dilute it to 5% outdoors, acid into water.",
  "kitchen-apart": "Germs from a brew can reach your food. Keep kitchen and farm tools apart.",
  "salty-plants": "Salt from salty plants harms soil and stays there. Rinse them or use less.",
} as const satisfies Record<string, string>;

export type CautionId = keyof typeof CAUTIONS;
