import { CAUTIONS, type CautionId } from "@/core/book/cautions";
import { findUse, USE_IDS, type UseId } from "@/core/book/uses";
import { HAZARD_WORDS } from "@/core/paper/label";
import { inText } from "@/formats/grammar";

export const LABEL_LANGUAGES = ["en", "es", "fr", "pt"] as const;
export type LabelLanguage = (typeof LABEL_LANGUAGES)[number];
export const LANGUAGE_NAMES: Readonly<Record<LabelLanguage, string>> = {
  en: "English",
  es: "Español",
  fr: "Français",
  pt: "Português",
};

/** All that a label says besides the batch's own name, what is in it and the maker. */
export interface LabelWords {
  /** For dates, as a language tag. */
  readonly locale: string;
  readonly notToDrink: string;
  readonly never: string;
  readonly rows: Readonly<Record<"made" | "ready" | "keeps" | "inIt" | "putOn" | "madeBy", string>>;
  readonly useBy: (day: string) => string;
  readonly unknown: string;
  readonly likelyFrom: (day: string) => string;
  readonly likely: (day: string) => string;
  readonly likelySpan: (from: string, to: string) => string;
  readonly neat: string;
  readonly notAsItIs: string;
  readonly hazards: Readonly<Partial<Record<CautionId, string>>>;
  readonly cautions: Readonly<Partial<Record<CautionId, string>>>;
  readonly uses: Readonly<Record<UseId, string>>;
}

const ENGLISH: LabelWords = {
  locale: "en-GB",
  notToDrink: "DO NOT DRINK",
  never: "DO NOT DRINK. Keep off skin. Keep away from children and animals.",
  rows: { made: "made", ready: "ready", keeps: "keeps", inIt: "in it", putOn: "put on", madeBy: "made by" },
  useBy: (day) => `use by ${day}`,
  unknown: "not known yet: check and smell",
  likelyFrom: (day) => `likely from ${day}`,
  likely: (day) => `likely ${day}`,
  likelySpan: (from, to) => `likely ${from} to ${to}`,
  neat: "undiluted",
  notAsItIs: "never undiluted",
  hazards: HAZARD_WORDS,
  cautions: CAUTIONS,
  uses: Object.fromEntries(USE_IDS.map((use) => [use, inText(findUse(use).name)])) as Record<UseId, string>,
};

const SPANISH: LabelWords = {
  locale: "es",
  notToDrink: "NO BEBER",
  never: "NO BEBER. No usar en la piel. Lejos de niños y animales.",
  rows: { made: "hecho", ready: "listo", keeps: "dura", inIt: "lleva", putOn: "se aplica", madeBy: "lo hizo" },
  useBy: (day) => `usar hasta el ${day}`,
  unknown: "aún no se sabe: mirar y oler",
  likelyFrom: (day) => `probablemente desde el ${day}`,
  likely: (day) => `probablemente el ${day}`,
  likelySpan: (from, to) => `probablemente del ${from} al ${to}`,
  neat: "sin diluir",
  notAsItIs: "no se aplica tal cual",
  hazards: {
    "manure": "ESTIÉRCOL: SOLO AL SUELO",
    "urine": "ORINA: SOLO AL SUELO",
    "herbicide": "¿HERBICIDA?",
    "acid-hands": "ÁCIDO",
    "caustic-ash": "CÁUSTICO",
    "nicotine": "VENENO",
    "gas-pressure": "HACE GAS",
    "acid-gas": "HACE GAS",
    "tank-gas": "GAS: NO ASOMARSE",
    "breathable-lid": "HACE GAS",
    "milk": "LECHE",
    "leaf-eaten-soon": "NO EN HOJAS QUE SE COMEN",
    "root-burn": "SIN DILUIR QUEMA RAÍCES",
    "shellfish": "CÁSCARA O HUEVO",
  },
  cautions: {
    "manure": "Lleva gérmenes: solo al suelo, nunca sobre hojas que se comen; esperar los días antes de la cosecha.",
    "urine": "Orina: solo al suelo, nunca en el último mes antes de la cosecha.",
    "herbicide": "Puede llevar herbicida: probar antes con tres frijoles.",
    "acid-hands": "Quema ojos y piel: guantes y gafas, agua a mano.",
    "caustic-ash": "La ceniza mojada quema: guantes, gafas y mascarilla.",
    "nicotine": "Venenoso: nunca sobre alimentos.",
    "gas-pressure": "Hace gas: abrir despacio, apartar la cara.",
    "acid-gas": "Hace gas: nunca cerrar del todo.",
    "tank-gas": "Gas en el tanque: abrir al aire libre, no asomarse ni entrar.",
    "breathable-lid": "Hace gas: tapar con tela o papel, nunca cerrar del todo.",
    "milk": "Leche: alergia; avisar a quien compra.",
    "leaf-eaten-soon": "Nunca sobre hojas que se comen pronto.",
    "root-burn": "Sin diluir quema las raíces: 1:20.",
    "shellfish": "Cáscara: puede dar alergia a mariscos o huevo.",
  },
  uses: {
    "drench-bare": "riego, suelo desnudo",
    "drench-growing": "riego, plantas en crecimiento",
    "foliar": "sobre las hojas",
    "seedling": "plantones",
    "seed-mix": "mezcla de siembra",
    "injector": "por el inyector",
    "compost": "sobre el compost",
    "incorporate": "mezclado con el suelo",
    "houseplants": "plantas de interior",
    "bedding": "sobre la cama de los animales",
    "char": "para cargar carbón",
    "septic": "fosa séptica",
    "top-dress": "sobre la superficie",
  },
};

const FRENCH: LabelWords = {
  locale: "fr",
  notToDrink: "NE PAS BOIRE",
  never: "NE PAS BOIRE. Pas sur la peau. Loin des enfants et des animaux.",
  rows: { made: "fait le", ready: "prêt", keeps: "se garde", inIt: "contient", putOn: "usage", madeBy: "fait par" },
  useBy: (day) => `à utiliser avant le ${day}`,
  unknown: "pas encore connu : regarder et sentir",
  likelyFrom: (day) => `sans doute dès le ${day}`,
  likely: (day) => `sans doute le ${day}`,
  likelySpan: (from, to) => `sans doute du ${from} au ${to}`,
  neat: "pur",
  notAsItIs: "ne s’applique pas tel quel",
  hazards: {
    "manure": "FUMIER : SOL SEULEMENT",
    "urine": "URINE : SOL SEULEMENT",
    "herbicide": "DÉSHERBANT ?",
    "acid-hands": "ACIDE",
    "caustic-ash": "CAUSTIQUE",
    "nicotine": "POISON",
    "gas-pressure": "FAIT DU GAZ",
    "acid-gas": "FAIT DU GAZ",
    "tank-gas": "GAZ : NE PAS SE PENCHER",
    "breathable-lid": "FAIT DU GAZ",
    "milk": "LAIT",
    "leaf-eaten-soon": "PAS SUR FEUILLES À MANGER",
    "root-burn": "PUR, BRÛLE LES RACINES",
    "shellfish": "COQUILLE OU ŒUF",
  },
  cautions: {
    "manure":
      "Porte des germes : au sol seulement, jamais sur des feuilles à manger ; attendre les jours avant récolte.",
    "urine": "Urine : au sol seulement, jamais dans le dernier mois avant récolte.",
    "herbicide": "Peut contenir du désherbant : essayer d’abord sur trois haricots.",
    "acid-hands": "Brûle les yeux et la peau : gants et lunettes, de l’eau à portée.",
    "caustic-ash": "La cendre mouillée brûle : gants, lunettes, masque.",
    "nicotine": "Poison : jamais sur ce qui se mange.",
    "gas-pressure": "Fait du gaz : ouvrir lentement, tourner le visage.",
    "acid-gas": "Fait du gaz : ne jamais fermer hermétiquement.",
    "tank-gas": "Gaz dans la cuve : ouvrir dehors, ne pas se pencher ni entrer.",
    "breathable-lid": "Fait du gaz : tissu ou papier dessus, jamais hermétique.",
    "milk": "Lait : allergie ; le dire à qui achète.",
    "leaf-eaten-soon": "Jamais sur des feuilles bientôt mangées.",
    "root-burn": "Pur, brûle les racines : 1:20.",
    "shellfish": "Coquille : allergie possible aux crustacés ou à l’œuf.",
  },
  uses: {
    "drench-bare": "arrosage, sol nu",
    "drench-growing": "arrosage, plantes en pousse",
    "foliar": "sur les feuilles",
    "seedling": "jeunes plants",
    "seed-mix": "terreau de semis",
    "injector": "par l’injecteur",
    "compost": "sur le compost",
    "incorporate": "mêlé au sol",
    "houseplants": "plantes d’intérieur",
    "bedding": "sur la litière des animaux",
    "char": "pour charger le charbon",
    "septic": "fosse septique",
    "top-dress": "en surface",
  },
};

const PORTUGUESE: LabelWords = {
  locale: "pt",
  notToDrink: "NÃO BEBER",
  never: "NÃO BEBER. Não usar na pele. Longe de crianças e animais.",
  rows: { made: "feito", ready: "pronto", keeps: "dura", inIt: "contém", putOn: "aplica-se", madeBy: "feito por" },
  useBy: (day) => `usar até ${day}`,
  unknown: "ainda não se sabe: olhar e cheirar",
  likelyFrom: (day) => `provavelmente desde ${day}`,
  likely: (day) => `provavelmente ${day}`,
  likelySpan: (from, to) => `provavelmente de ${from} a ${to}`,
  neat: "puro",
  notAsItIs: "não se aplica assim",
  hazards: {
    "manure": "ESTERCO: SÓ NO SOLO",
    "urine": "URINA: SÓ NO SOLO",
    "herbicide": "HERBICIDA?",
    "acid-hands": "ÁCIDO",
    "caustic-ash": "CÁUSTICO",
    "nicotine": "VENENO",
    "gas-pressure": "FAZ GÁS",
    "acid-gas": "FAZ GÁS",
    "tank-gas": "GÁS: NÃO SE DEBRUÇAR",
    "breathable-lid": "FAZ GÁS",
    "milk": "LEITE",
    "leaf-eaten-soon": "NÃO EM FOLHAS DE COMER",
    "root-burn": "PURO QUEIMA RAÍZES",
    "shellfish": "CASCA OU OVO",
  },
  cautions: {
    "manure": "Tem germes: só no solo, nunca em folhas que se comem; esperar os dias antes da colheita.",
    "urine": "Urina: só no solo, nunca no último mês antes da colheita.",
    "herbicide": "Pode ter herbicida: testar antes com três feijões.",
    "acid-hands": "Queima olhos e pele: luvas e óculos, água por perto.",
    "caustic-ash": "A cinza molhada queima: luvas, óculos e máscara.",
    "nicotine": "Veneno: nunca em alimentos.",
    "gas-pressure": "Faz gás: abrir devagar, virar o rosto.",
    "acid-gas": "Faz gás: nunca fechar de todo.",
    "tank-gas": "Gás no tanque: abrir ao ar livre, não se debruçar nem entrar.",
    "breathable-lid": "Faz gás: pano ou papel por cima, nunca fechar de todo.",
    "milk": "Leite: alergia; avisar quem compra.",
    "leaf-eaten-soon": "Nunca em folhas que se comem em breve.",
    "root-burn": "Puro queima as raízes: 1:20.",
    "shellfish": "Casca: pode dar alergia a marisco ou ovo.",
  },
  uses: {
    "drench-bare": "rega, solo nu",
    "drench-growing": "rega, plantas a crescer",
    "foliar": "nas folhas",
    "seedling": "mudas",
    "seed-mix": "mistura de sementeira",
    "injector": "pelo injetor",
    "compost": "no composto",
    "incorporate": "misturado no solo",
    "houseplants": "plantas de interior",
    "bedding": "na cama dos animais",
    "char": "para carregar carvão",
    "septic": "fossa séptica",
    "top-dress": "à superfície",
  },
};

export const LABEL_WORDS: Readonly<Record<LabelLanguage, LabelWords>> = {
  en: ENGLISH,
  es: SPANISH,
  fr: FRENCH,
  pt: PORTUGUESE,
};

export const isLabelLanguage = (text: string | undefined): text is LabelLanguage =>
  LABEL_LANGUAGES.some((language) => language === text);
