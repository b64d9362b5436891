import { createElement } from "react";
import {
  Bean,
  Brush,
  Combine,
  CookingPot,
  Droplet,
  Eye,
  Fan,
  Filter,
  FlaskConical,
  GlassWater,
  Hand,
  Leaf,
  Lock,
  PackageOpen,
  Plug,
  Recycle,
  RotateCw,
  ShieldCheck,
  Shovel,
  Sprout,
  Thermometer,
  Wheat,
  Wind,
  type LucideIcon,
} from "lucide-react";
import type { TaskWord } from "@/core/tend/taskWords";

const ICONS: Readonly<Record<TaskWord, LucideIcon>> = {
  "stir": RotateCw,
  "let-gas-out": Wind,
  "press-under": Hand,
  "feed": Wheat,
  "top-up": Droplet,
  "join": Combine,
  "lift-out": PackageOpen,
  "close": Lock,
  "lid-on": ShieldCheck,
  "air-on": Fan,
  "power-on": Plug,
  "warm": Thermometer,
  "cool": Thermometer,
  "read-ph": FlaskConical,
  "look": Eye,
  "smell": Eye,
  "strain": Filter,
  "use-now": Sprout,
  "to-heap": Recycle,
  "wash": Brush,
  "use-water": GlassWater,
  "put-on": Shovel,
  "go-on-mixing": CookingPot,
  "fill": CookingPot,
  "pick": Leaf,
  "read-beans": Bean,
  "tend": Hand,
};

/** What a task asks of the hand, as a picture: for who does not read the language. */
export const TaskPicture = ({
  does,
  className = "mt-0.5 size-6",
}: {
  readonly does: TaskWord;
  readonly className?: string;
}) => createElement(ICONS[does], { "aria-hidden": true, className, "strokeWidth": 1.8 });
