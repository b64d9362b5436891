import { Liquid, Solids } from "./drawing/Contents";
import { Film } from "./drawing/Film";
import { Foam } from "./drawing/Foam";
import { BOTTOM, LEFT, MID_X, RIGHT, RX, RY } from "./drawing/shape";
import { sayPicture, type DrumPicture } from "./drumLook";

const Closed = ({ isBulging, isBurst }: { readonly isBulging: boolean; readonly isBurst: boolean }) => (
  <g stroke="var(--ink)" strokeWidth={2.5}>
    <path
      d={`M${LEFT - 4} 62 ${isBulging ? "q-10 80 0 152" : "v152"} a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0 ${isBulging ? "q10 -72 0 -152" : "v-152"} z`}
      fill="var(--galvanised)"
    />
    <path
      d={`M${LEFT - 4} 108 a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0 M${LEFT - 4} 164 a${RX + 4} ${RY} 0 0 0 ${RIGHT - LEFT + 8} 0`}
      fill="none"
      strokeWidth={1.5}
    />
    {isBurst ? (
      <g>
        <path
          d={`M${MID_X} 20 l14 -14 M${MID_X - 46} 30 l-16 -16 M${MID_X + 50} 30 l16 -16`}
          fill="none"
          stroke="var(--rust)"
          strokeWidth={4}
        />
        <path d={`M${LEFT + 30} 34 l40 -18 l46 26`} fill="none" strokeWidth={7} />
        <path d={`M${MID_X} 100 l12 24 l-14 18 l10 30`} fill="none" stroke="var(--rust)" strokeWidth={3} />
      </g>
    ) : (
      <path
        d={
          isBulging
            ? `M${LEFT - 8} 62 q${MID_X - LEFT + 8} -54 ${RIGHT - LEFT + 16} 0 z`
            : `M${LEFT - 8} 62 v-10 q${MID_X - LEFT + 8} -16 ${RIGHT - LEFT + 16} 0 v10 z`
        }
        fill="var(--chalk)"
      />
    )}
  </g>
);

/** A drum as it is seen: closed from outside, or cut open with what lies on and in the liquid. */
export const DrumDrawing = ({ picture, className }: { readonly picture: DrumPicture; readonly className?: string }) => {
  const { name, isOpen, surface, film, liquid, solids, outside } = picture;
  return (
    <svg viewBox="0 0 240 244" role="img" aria-label={sayPicture(picture)} className={className}>
      {isOpen && !outside.isBurst ? (
        <g>
          <path
            d={`M${LEFT} 56 v${BOTTOM - 56} a${RX} ${RY} 0 0 0 ${RIGHT - LEFT} 0 v${56 - BOTTOM}`}
            fill="var(--chalk)"
            stroke="none"
          />
          <Liquid name={name} word={liquid} />
          {solids ? <Solids word={solids} isShell={name === "shell"} /> : null}
          {surface ? <Foam word={surface} /> : null}
          {film ? <Film word={film} /> : null}
          <path
            d={`M${LEFT} 56 v${BOTTOM - 56} a${RX} ${RY} 0 0 0 ${RIGHT - LEFT} 0 v${56 - BOTTOM}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
          <path
            d={`M${LEFT} 56 a${RX} ${RY} 0 0 1 ${RIGHT - LEFT} 0`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={2.5}
          />
        </g>
      ) : (
        <Closed isBulging={outside.isBulging} isBurst={outside.isBurst} />
      )}
      {name === "tea" ? (
        <g stroke="var(--ink)" strokeWidth={2} fill="none">
          <path d={`M${RIGHT + 4} 70 q26 20 22 140`} />
          {outside.isPumpSilent ? (
            <path d="M214 214 l14 14 m0 -14 l-14 14" stroke="var(--rust)" strokeWidth={3} />
          ) : (
            <path d="M214 222 q5 -8 10 0 t10 0" />
          )}
        </g>
      ) : null}
    </svg>
  );
};
