import type { ReactNode } from "react";

const R = 44;

/** A drum seen from above: its rim, its liquid, and what lies on it. */
const Round = ({
  id,
  liquid,
  label,
  children,
}: {
  readonly id: string;
  readonly liquid: string;
  readonly label: string;
  readonly children?: ReactNode;
}) => (
  <figure className="text-center">
    <svg role="img" aria-label={label} viewBox="-50 -50 100 100" className="mx-auto block w-full max-w-24">
      <clipPath id={`look-${id}`}>
        <circle r={R} />
      </clipPath>
      <circle r={R} fill={liquid} />
      <g clipPath={`url(#look-${id})`}>{children}</g>
      <circle r={R} fill="none" stroke="var(--ink)" strokeWidth={3} />
    </svg>
    <figcaption className="mt-1 text-[0.86rem] leading-tight text-soft">{label}</figcaption>
  </figure>
);

/** Spots on a sunflower's spiral: even, and the same every time. */
const spiral = (count: number, reach: number, size: number, fill: string): ReactNode =>
  Array.from({ length: count }, (_, index) => {
    const radius = reach * Math.sqrt((index + 0.5) / count);
    const angle = index * 2.39996;
    return (
      <circle
        key={index}
        cx={radius * Math.cos(angle)}
        cy={radius * Math.sin(angle)}
        r={size * (0.75 + (0.5 * ((index * 7) % 5)) / 4)}
        fill={fill}
        stroke="#9a8f78"
        strokeWidth={0.6}
      />
    );
  });
const ring = (count: number): ReactNode =>
  Array.from({ length: count }, (_, index) => {
    const angle = (index * 2 * Math.PI) / count;
    return (
      <circle
        key={index}
        cx={39 * Math.cos(angle)}
        cy={39 * Math.sin(angle)}
        r={4.2}
        fill="#fbf8ee"
        stroke="#9a8f78"
        strokeWidth={0.6}
      />
    );
  });

const FOAM = "#fbf8ee";
const LEAF = "#4f6b32";

export type DrawnFamily = "bloom" | "acid" | "drawn" | "char" | "other";

/** How early, full and spent look, drawn; a batch's own photographs stand beside them. */
export const DrawnLooks = ({ family, id }: { readonly family: DrawnFamily; readonly id: string }) => {
  switch (family) {
    case "bloom":
      return (
        <>
          <Round id={`${id}-early`} liquid="#8b7a4a" label="early: a ring at the wall">
            {ring(30)}
          </Round>
          <Round id={`${id}-full`} liquid="#8b7a4a" label="full: the head covers it">
            {spiral(90, 46, 5.6, FOAM)}
          </Round>
          <Round id={`${id}-spent`} liquid="#6d5f3a" label="spent: flat, a few rafts">
            {spiral(5, 30, 4.5, "#e6dcc3")}
          </Round>
        </>
      );
    case "acid":
      return (
        <>
          <Round id={`${id}-early`} liquid="#8a7434" label="early: still, sweet, bubbles rise">
            {spiral(9, 36, 2.2, FOAM)}
          </Round>
          <Round id={`${id}-full`} liquid="#77762f" label="working: pale bubbly film">
            {spiral(46, 42, 4, "#efe9da")}
          </Round>
          <Round id={`${id}-spent`} liquid="#6c6c2e" label="done: thin flat film, sour">
            <circle r={40} fill="#e9e3cf" opacity={0.35} />
          </Round>
        </>
      );
    case "drawn":
      return (
        <>
          <Round id={`${id}-early`} liquid="#b5a15c" label="early: leaf under dry sugar">
            {spiral(34, 42, 6, LEAF)}
          </Round>
          <Round id={`${id}-full`} liquid="#55511c" label="ready: leaf floats on its juice">
            {spiral(22, 34, 7, "#6b7f3c")}
          </Round>
          <Round id={`${id}-spent`} liquid="#3f3a18" label="old: dark, leaf brown and sunk">
            {spiral(6, 34, 6, "#5a4b2c")}
          </Round>
        </>
      );
    case "char":
      return (
        <>
          <Round id={`${id}-early`} liquid="#3a332a" label="early: nearly all floats">
            {spiral(110, 45, 4, "#1d1b19")}
          </Round>
          <Round id={`${id}-full`} liquid="#4a4234" label="charged: a few grains float">
            {spiral(9, 40, 3, "#1d1b19")}
          </Round>
          <Round id={`${id}-spent`} liquid="#3b3428" label="kept: nothing floats; it keeps" />
        </>
      );
    case "other":
      return (
        <>
          <Round id={`${id}-early`} liquid="#8d8a5c" label="early: light, leaf is whole">
            {spiral(20, 42, 6, LEAF)}
          </Round>
          <Round id={`${id}-full`} liquid="#4a4a22" label="ready: dark, leaf has fallen apart">
            {spiral(8, 40, 4, "#6b6638")}
          </Round>
          <Round id={`${id}-spent`} liquid="#2f2d17" label="old: black, quiet" />
        </>
      );
  }
};
