import {
  Activity,
  Droplets,
  Eye,
  Fan,
  Flame,
  Hand,
  Leaf,
  RotateCw,
  TestTube,
  Thermometer,
  Wind,
  type LucideIcon,
} from "lucide-react";
import type { ReactNode } from "react";
import type { Care, Look } from "@/core/practice/drum/deeds";
import * as drumPlay from "@/core/practice/drum/play";
import { caresOf, looksOf, type PracticeDrum } from "@/core/practice/drum/setup";
import { inText } from "@/formats/grammar";
import { CARE_NAMES, LOOK_NAMES } from "@/words/said";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { DrumDrawing } from "./DrumDrawing";
import { pictureOf } from "./drumLook";
import { sayHour } from "./sayHour";

const LOOK_ICONS: Readonly<Record<Look, LucideIcon>> = {
  "lid": Eye,
  "smell": Wind,
  "solids": Leaf,
  "ph-strip": TestTube,
  "ph-meter": Activity,
  "dip": Thermometer,
};
const CARE_ICONS: Readonly<Record<Care, LucideIcon>> = {
  "stir": RotateCw,
  "vent": Hand,
  "warm": Flame,
  "feed": Droplets,
  "air-on": Fan,
};

/** The buttons of one kind, with what stands before them. */
export const Row = ({ title, children }: { readonly title: string; readonly children: ReactNode }) => (
  <div role="group" aria-label={title}>
    <p className="mb-1 font-semibold">{title}</p>
    <div className="flex flex-wrap gap-2">{children}</div>
  </div>
);

/** The drum as it stands there, with what is seen of it this hour; on a phone it stays in sight while the thumb is at the buttons below. */
export const DrumBefore = ({
  drum,
  play,
  sight,
  said,
}: {
  readonly drum: PracticeDrum;
  readonly play: drumPlay.Play;
  readonly sight: drumPlay.Sight;
  readonly said: string;
}) => (
  <div className="max-md:sticky max-md:top-0 max-md:z-10 max-md:grid max-md:grid-cols-[7rem_1fr] max-md:items-center max-md:gap-x-3 max-md:border-b max-md:border-line max-md:bg-limewash max-md:pb-1">
    <p className="reading text-[1.2rem] font-semibold max-md:col-start-2">{sayHour(drum, play.hour)}</p>
    <DrumDrawing
      picture={pictureOf(drum.name, sight.seen, play.hour, sight.outside)}
      className="mx-auto w-full max-w-[17rem] max-md:col-start-1 max-md:row-span-4 max-md:row-start-1"
    />
    {sight.outside.isBulging && !sight.isOver ? (
      <Notice tone="caution" title="The lid is swollen">
        Gas can throw it in your face. Stand to the side and open it slowly.
      </Notice>
    ) : null}
    {sight.outside.isPumpSilent && !sight.isOver ? (
      <Notice tone="caution" title="The pump is silent">
        No air goes in.
      </Notice>
    ) : null}
    <p aria-live="polite" className="mt-1 min-h-6 md:text-center">
      {said}
    </p>
  </div>
);

/** All that can be done now: look, care, wait, end. */
export const DrumDeeds = ({
  drum,
  play,
  onPlay,
  children,
}: {
  readonly drum: PracticeDrum;
  readonly play: drumPlay.Play;
  readonly onPlay: (next: drumPlay.Play, said: string) => void;
  /** How time is let pass, where it stands among them. */
  readonly children?: ReactNode;
}) => (
  <>
    <Row title="Look">
      {looksOf(drum.name).map((what) => {
        const Icon = LOOK_ICONS[what];
        const isLooked = play.deeds.some(
          (deed) => deed.kind === "look" && deed.look === what && deed.hour === play.hour,
        );
        return (
          <Button key={what} disabled={isLooked} onClick={() => onPlay(drumPlay.look(play, what), "")}>
            <Icon aria-hidden className="size-5" />
            {LOOK_NAMES[what]}
          </Button>
        );
      })}
    </Row>
    <Row title="Do">
      {caresOf(drum.name).map((what) => {
        const Icon = CARE_ICONS[what];
        return (
          <Button key={what} onClick={() => onPlay(drumPlay.careFor(play, what), `Done: ${inText(CARE_NAMES[what])}`)}>
            <Icon aria-hidden className="size-5" />
            {CARE_NAMES[what]}
          </Button>
        );
      })}
    </Row>
    {children}
    <Row title="End it">
      <Button variant="strong" onClick={() => onPlay(drumPlay.end(play, "use"), "")}>
        Strain and use it
      </Button>
      <Button variant="danger" onClick={() => onPlay(drumPlay.end(play, "throw-out"), "")}>
        Throw it away
      </Button>
    </Row>
  </>
);
