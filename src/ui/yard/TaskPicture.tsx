import { createElement } from "react";
import {
  Boxes,
  Brush,
  CookingPot,
  Droplet,
  Eye,
  Filter,
  FlaskConical,
  Hand,
  Leaf,
  Lock,
  PackageOpen,
  Plug,
  RotateCw,
  ShieldCheck,
  Sprout,
  Thermometer,
  Wheat,
  Wind,
  type LucideIcon,
} from "lucide-react";
import type { Act } from "@/core/book/words";
import type { RoundTouch } from "@/services/roundTask";

const ACT_ICONS: Partial<Record<Act, LucideIcon>> = {
  "stirred": RotateCw,
  "vented": Wind,
  "topped-up": Droplet,
  "fed": Wheat,
  "air-on": Plug,
  "power-back": Plug,
  "heater-on": Thermometer,
  "lid-checked": ShieldCheck,
  "pressed-under": Hand,
  "bag-out": PackageOpen,
  "sealed": Lock,
  "joined": Boxes,
};
const FOCUS_ICONS = { ph: FlaskConical, smell: Eye, temperature: Thermometer } as const;

function iconOf(touch: RoundTouch): LucideIcon {
  switch (touch.type) {
    case "log-act":
      return ACT_ICONS[touch.act] ?? Hand;
    case "open-log":
      return FOCUS_ICONS[touch.focus];
    case "close":
      return Filter;
    case "clean":
      return Brush;
    case "go":
      if (touch.href.startsWith("/field")) return Sprout;
      if (touch.href.startsWith("/mix") || touch.href.startsWith("/?fill")) return CookingPot;
      return touch.href.startsWith("/shed/gathering") ? Leaf : Boxes;
  }
}

/** What a task asks of the hand, as a picture: for who does not read the language. */
export const TaskPicture = ({ touch }: { readonly touch: RoundTouch }) =>
  createElement(iconOf(touch), { "aria-hidden": true, "className": "mt-0.5 size-6", "strokeWidth": 1.8 });
