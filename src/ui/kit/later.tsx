"use client";
import { useEffect, useRef, useState, type ComponentType, type ReactNode } from "react";
import { sayDoor } from "@/words/door";
import { Button } from "./Button";
import { toldOfTrouble } from "./told";

/** So long a panel may take before it is said that it is coming, ms: most are there sooner, and a flash of words would only startle. */
const PATIENCE_MS = 250;

type Load<Props> = () => Promise<ComponentType<Props>>;

const known: (() => Promise<unknown>)[] = [];

/** Fetches all that comes later: for tests, whose screens are whole from the start. */
export async function allCome(): Promise<void> {
  // What comes may bring others along that come later still.
  for (let next = 0; next < known.length; next += 1) await known[next]!();
}

/**
 * A part of a page whose script comes when it is first shown, and not with the page. Where it can't come, that is said in its place, and can be
 * tried again.
 */
function later<Props extends object>(
  load: Load<Props>,
  waiting: (props: Props) => ReactNode,
  missing: (again: () => void, props: Props) => ReactNode,
): ComponentType<Props> {
  let come: ComponentType<Props> | null = null;
  const fetchIt: Load<Props> = async () => (come = await load());
  known.push(fetchIt);
  const Later = (props: Props) => {
    const [Come, setCome] = useState<ComponentType<Props> | null>(() => come);
    const [isMissing, setMissing] = useState(false);
    useEffect(() => {
      if (Come || isMissing) return;
      let isHere = true;
      fetchIt().then(
        (component) => isHere && setCome(() => component),
        () => isHere && setMissing(true),
      );
      return () => {
        isHere = false;
      };
    }, [Come, isMissing]);
    if (Come) return <Come {...props} />;
    return isMissing ? missing(() => setMissing(false), props) : waiting(props);
  };
  return Later;
}

const Opening = () => {
  const [isSaid, setSaid] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSaid(true), PATIENCE_MS);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p
      role="status"
      className={isSaid ? "fixed inset-x-0 bottom-14 z-50 bg-ink p-3 text-center text-chalk" : "sr-only"}
    >
      {isSaid ? "Opening" : ""}
    </p>
  );
};

const focusIt = (element: HTMLElement | null) => element?.focus();

const Missing = ({
  className = "",
  onAgain,
  onClose,
}: {
  readonly className?: string;
  readonly onAgain: () => void;
  readonly onClose?: () => void;
}) => (
  <div
    role="alert"
    tabIndex={-1}
    ref={onClose ? focusIt : undefined}
    className={`grid gap-3 border-rust bg-rust-wash p-4 text-ink outline-none ${className}`}
  >
    <p className="font-semibold">This part is not on this device yet, and the farm can’t be reached.</p>
    <div className="flex gap-2">
      <Button variant="strong" onClick={onAgain}>
        Try again
      </Button>
      {onClose ? <Button onClick={onClose}>Close</Button> : null}
    </div>
  </div>
);

/**
 * A panel whose script comes when it is first opened; meanwhile the page stays as it is.
 * @param load `() => import("./LogSheet").then((module) => module.LogSheet)`
 */
export const panel = <Props extends { readonly onClose: () => void }>(load: Load<Props>): ComponentType<Props> =>
  later(
    load,
    () => <Opening />,
    (again, { onClose }) => (
      <Missing
        className="fixed inset-x-0 bottom-14 z-50 border-t-[3px] md:bottom-0"
        onAgain={again}
        onClose={onClose}
      />
    ),
  );

/**
 * A part within a page, such as a chart, whose script comes after the page's own.
 * @param name what it is called while it comes
 */
export const part = <Props extends object>(name: string, load: Load<Props>): ComponentType<Props> =>
  later(
    load,
    () => (
      <p aria-busy className="min-h-56 px-4 py-5 text-soft">
        {name}
      </p>
    ),
    (again) => <Missing className="border-l-4" onAgain={again} />,
  );

/** Says in passing that it can't come: beside a button there is no room for it. */
const OutOfReach = () => {
  useEffect(() => toldOfTrouble(sayDoor("out-of-reach")), []);
  return null;
};

interface MenuButton {
  readonly "aria-expanded"?: false;
  readonly "onClick"?: () => void;
}

/**
 * A button with a menu whose script comes with the first touch.
 * @param face the button while it has none
 * @param load the menu, opened as it comes, with a button of its own that looks alike
 */
export function menu<Props extends object>(
  face: (props: Props, button: MenuButton) => ReactNode,
  load: Load<Props>,
): ComponentType<Props> {
  const Opened = later<Props>(
    load,
    (props) => face(props, {}),
    (again, props) => (
      <>
        <OutOfReach />
        {face(props, { onClick: again })}
      </>
    ),
  );
  const Menu = (props: Props) => {
    const [isAsked, setAsked] = useState(false);
    return isAsked ? <Opened {...props} /> : face(props, { "aria-expanded": false, "onClick": () => setAsked(true) });
  };
  return Menu;
}

/** Draws what is in it only once it comes into sight, or is wanted for another reason. */
export const WhenSeen = ({
  wanted = false,
  before = null,
  children,
}: {
  readonly wanted?: boolean;
  /** What stands in its place until then. */
  readonly before?: ReactNode;
  readonly children: ReactNode;
}) => {
  const [isSeen, setSeen] = useState(false);
  const place = useRef<HTMLDivElement>(null);
  const isShown = isSeen || wanted;
  useEffect(() => {
    if (isShown || !place.current) return;
    const observer = new IntersectionObserver(
      (entries) => entries.some(({ isIntersecting }) => isIntersecting) && setSeen(true),
      { rootMargin: "200px" },
    );
    observer.observe(place.current);
    return () => observer.disconnect();
  }, [isShown]);
  return isShown ? (
    children
  ) : (
    <div ref={place} className="min-h-56">
      {before}
    </div>
  );
};
