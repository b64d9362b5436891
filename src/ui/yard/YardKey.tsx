import type { ReactNode } from "react";
import type { VerdictState } from "@/core/judge/verdictState";
import { sayState } from "@/words/said";
import { BestMark, LostHatch, Torn } from "../drawings/ribbonParts";
import { Fold } from "../kit/Fold";
import { StateMark } from "../kit/StateMark";

const Sign = ({ children }: { readonly children: ReactNode }) => (
  <svg aria-hidden width={34} height={34} viewBox="0 0 34 34" className="shrink-0">
    {children}
  </svg>
);

const Line = ({
  sign,
  isWide = false,
  children,
}: {
  readonly sign: ReactNode;
  /** Of something that only a wide screen draws. */
  readonly isWide?: boolean;
  readonly children: ReactNode;
}) => (
  <li className={`items-center gap-3 ${isWide ? "hidden md:flex" : "flex"}`}>
    {sign}
    <span>{children}</span>
  </li>
);

const band = (fill: string) => (
  <Sign>
    <rect x={0} y={9} width={34} height={16} fill={fill} stroke="var(--line)" />
  </Sign>
);

const ribbon = (d: string, more?: ReactNode) => (
  <Sign>
    <path d={d} fill="var(--leaf-wash)" stroke="var(--leaf)" strokeWidth={1.6} />
    {more}
  </Sign>
);

const Ribbons = () => (
  <ul aria-label="Ribbons" className="grid content-start gap-2">
    <Line sign={ribbon("M16 34V0h2V34z")}>Thin: too early. Time runs upward from now.</Line>
    <Line sign={ribbon("M16 34Q16 20 6 0H28Q18 20 18 34z")}>The wider, the more likely it is ready at that hour.</Line>
    <Line sign={ribbon("M5 34V0H29V34z", <BestMark x={17} y={17} halfPx={8} />)}>Its best hour, most likely.</Line>
    <Line sign={ribbon("M5 34V17H29V34z", <Torn x={17} y={17} along="y" />)}>From here likely past its best.</Line>
    <Line
      sign={
        <Sign>
          <defs>
            <LostHatch id="key-lost" />
          </defs>
          <rect x={13} y={0} width={8} height={34} fill="url(#key-lost)" stroke="var(--rust)" />
        </Sign>
      }
    >
      Failed, or stuck until something is done.
    </Line>
  </ul>
);

const Bands = () => (
  <ul aria-label="Bands and the line on the left" className="grid content-start gap-2">
    <Line sign={band("var(--marigold-wash)")}>A good time to apply, on leaves too.</Line>
    <Line sign={band("var(--rain-wash)")}>On soil only: rain, wind or cold.</Line>
    <Line sign={band("transparent")}>No good time to apply.</Line>
    <Line
      isWide
      sign={
        <Sign>
          <path d="M8 34Q30 26 14 17T20 0" fill="none" stroke="var(--soft)" strokeWidth={1.4} />
        </Sign>
      }
    >
      The wave on the left is the air’s temperature: to the right is warmer.
    </Line>
  </ul>
);

const STATES: readonly { readonly state: VerdictState; readonly held?: true; readonly means: string }[] = [
  { state: "early", means: "leave it" },
  { state: "near", means: "check it often" },
  { state: "ready", means: "use it or strain it" },
  { state: "peak", means: "use it now" },
  { state: "past", means: "bare soil or compost only" },
  { state: "stuck", means: "warm it or help it" },
  { state: "spoiled", held: true, means: "do not use it before the next check" },
  { state: "spoiled", means: "hot compost, away from water" },
];

const States = () => (
  <ul aria-label="Marks" className="grid content-start gap-2">
    {STATES.map(({ state, held, means }) => {
      const verdict = { state, spoilt: held ? ("hold" as const) : state === "spoiled" ? ("discard" as const) : null };
      return (
        <Line key={`${state}${held ? "-held" : ""}`} sign={<StateMark verdict={verdict} size={20} />}>
          <span className="font-semibold">{sayState(verdict)}</span>: {means}
        </Line>
      );
    })}
  </ul>
);

/** What the yard's ribbons, bands, wave and marks mean; folded away once the yard is known. */
export const YardKey = ({ open }: { readonly open: boolean }) => (
  <Fold title="What the signs mean" open={open}>
    <div className="grid gap-x-8 gap-y-5 sm:grid-cols-2 xl:grid-cols-3">
      <Ribbons />
      <States />
      <Bands />
    </div>
  </Fold>
);
