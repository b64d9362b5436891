import type { TaskWord } from "@/core/tend/taskWords";
import type { LabelLanguage } from "./labelLanguage";

/** A task as a card says it, after the name of the drum or jar; plain enough for whoever is new. */
const PHRASES: Readonly<Record<TaskWord, readonly [en: string, es: string, fr: string, pt: string]>> = {
  "stir": ["stir it", "remover", "remuer", "mexer"],
  "let-gas-out": [
    "let the gas out slowly, face away",
    "dejar salir el gas despacio, apartar la cara",
    "laisser sortir le gaz doucement, visage tourné",
    "deixar sair o gás devagar, virar o rosto",
  ],
  "press-under": [
    "press what floats under the liquid",
    "hundir lo que flota",
    "enfoncer ce qui flotte",
    "afundar o que boia",
  ],
  "feed": ["feed it", "alimentar", "nourrir", "alimentar"],
  "top-up": ["top it up with water", "rellenar con agua", "compléter avec de l’eau", "completar com água"],
  "join": ["pour the two together", "juntar los dos", "verser les deux ensemble", "juntar os dois"],
  "lift-out": [
    "lift the bag or solids out; shade it",
    "sacar la bolsa o los sólidos; dar sombra",
    "sortir le sac ou les solides ; mettre à l’ombre",
    "tirar o saco ou os sólidos; dar sombra",
  ],
  "close": [
    "close it with an airlock; leave room for gas",
    "cerrar con trampa de aire; dejar espacio al gas",
    "fermer avec un barboteur ; laisser de la place au gaz",
    "fechar com válvula de ar; deixar espaço ao gás",
  ],
  "lid-on": [
    "lid or cloth on and tied, no flies",
    "tapa o tela puesta y atada, sin moscas",
    "couvercle ou tissu attaché, pas de mouches",
    "tampa ou pano amarrado, sem moscas",
  ],
  "air-on": ["get the air going", "poner en marcha el aire", "remettre l’air en marche", "ligar o ar"],
  "power-on": ["get the power back", "restablecer la corriente", "rétablir le courant", "restabelecer a energia"],
  "cool": ["put it in the shade", "poner a la sombra", "mettre à l’ombre", "pôr à sombra"],
  "warm": ["keep it warm", "mantener caliente", "garder au chaud", "manter aquecido"],
  "read-ph": [
    "measure pH halfway down",
    "medir el pH a media altura",
    "mesurer le pH à mi-hauteur",
    "medir o pH a meia altura",
  ],
  "look": ["open it, look and smell", "abrir, mirar y oler", "ouvrir, regarder et sentir", "abrir, olhar e cheirar"],
  "smell": ["smell it", "oler", "sentir", "cheirar"],
  "strain": ["strain it", "colar", "filtrer", "coar"],
  "use-now": ["use it now", "usar ya", "utiliser maintenant", "usar já"],
  "to-heap": [
    "to the compost heap, not on what grows",
    "al compost, no sobre lo que crece",
    "au compost, pas sur ce qui pousse",
    "ao composto, não no que cresce",
  ],
  "wash": ["wash it out", "lavar", "laver", "lavar"],
  "use-water": [
    "water set aside: ready to use",
    "agua reposada: lista",
    "eau reposée : prête",
    "água descansada: pronta",
  ],
  "put-on": ["put it on the beds", "poner en las camas", "mettre sur les planches", "pôr nos canteiros"],
  "go-on-mixing": ["go on mixing", "seguir mezclando", "continuer le mélange", "continuar a mistura"],
  "fill": ["fill it as planned", "llenar según el plan", "remplir comme prévu", "encher conforme o plano"],
  "pick": [
    "pick before sunrise",
    "recoger antes de salir el sol",
    "cueillir avant le lever du soleil",
    "colher antes do nascer do sol",
  ],
  "read-beans": [
    "look at the bean test",
    "mirar la prueba de frijoles",
    "regarder le test des haricots",
    "olhar o teste dos feijões",
  ],
  "tend": ["tend it: see the screen", "atender: ver la pantalla", "s’en occuper : voir l’écran", "cuidar: ver a tela"],
};

const COLUMN = { en: 0, es: 1, fr: 2, pt: 3 } as const;
const WORDS = {
  title: ["Round", "Ronda", "Tournée", "Ronda"],
  late: ["late", "atrasado", "en retard", "atrasado"],
  now: ["now", "ahora", "maintenant", "agora"],
  tomorrow: ["tomorrow", "mañana", "demain", "amanhã"],
  nothing: ["Nothing is due.", "Nada pendiente.", "Rien à faire.", "Nada a fazer."],
  ask: ["Unsure? Ask first.", "¿Dudas? Pregunta antes.", "Un doute ? Demande d’abord.", "Dúvida? Pergunte antes."],
} as const;

export const sayTask = (does: TaskWord, language: LabelLanguage): string => PHRASES[does][COLUMN[language]];
export const sayOnCard = (word: keyof typeof WORDS, language: LabelLanguage): string => WORDS[word][COLUMN[language]];
