"use client";
import { clsx } from "clsx";
import { Link } from "../kit/Link";
import { usePathname, useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { UnitSystem } from "@/formats/amounts";
import type { OwnMeasure } from "@/formats/figure/parts";
import { menu, panel } from "../kit/later";
import { AutoLock } from "../people/AutoLock";
import { Find } from "./Find";
import { isTyping } from "./keys";
import { PersonButton, ScreenButton, type PersonMenuProps, type ScreenMenuProps } from "./menuButtons";
import { isHere, placesOf } from "./places";
import { setScreenAgain, turnLight } from "./screenSettings";

const KeysSheet = panel(() => import("./KeysSheet").then((module) => module.KeysSheet));

const Person = menu<PersonMenuProps>(
  ({ person }, button) => <PersonButton person={person} {...button} />,
  () => import("./PersonMenu").then((module) => module.PersonMenu),
);
const Screen = menu<ScreenMenuProps>(
  (_, button) => <ScreenButton {...button} />,
  () => import("./ScreenMenu").then((module) => module.ScreenMenu),
);

interface HeaderProps {
  readonly farmName: string | null;
  readonly units: UnitSystem;
  readonly measures: readonly OwnMeasure[];
  readonly person: PersonMenuProps["person"] | null;
}

/** The places under the thumb. */
const FootPlaces = ({ path, places }: { readonly path: string; readonly places: ReturnType<typeof placesOf> }) => (
  <nav
    aria-label="Main menu, at the foot"
    className="fixed inset-x-0 bottom-0 z-30 grid auto-cols-fr grid-flow-col bg-board text-board-ink md:hidden"
  >
    {places.map(({ href, label, icon: Icon }) => (
      <Link
        key={href}
        href={href}
        aria-current={isHere(href, path) ? "page" : undefined}
        className={clsx(
          "flex min-h-14 min-w-0 flex-col items-center justify-center border-t-4 text-[min(0.8rem,3.4vw)] tracking-tight",
          isHere(href, path) ? "border-marigold font-bold" : "border-transparent",
        )}
      >
        <Icon aria-hidden className="size-5" />
        {label}
      </Link>
    ))}
  </nav>
);

/** The board across the top: the name, the places, who is writing. On a phone the places stand at the foot, under the thumb. */
export const Header = ({ farmName, units, measures, person }: HeaderProps) => {
  const path = usePathname();
  const router = useRouter();
  const [keysOpen, setKeysOpen] = useState(false);
  const role = person?.role ?? null;
  const places = placesOf(role);
  useEffect(setScreenAgain, [path]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event)) return;
      const place = placesOf(role).find(({ key }) => key === event.key);
      if (place && farmName) router.push(place.href);
      else if (event.key === "?") setKeysOpen(true);
      else if (event.key === "d") turnLight();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [farmName, role, router]);

  return (
    <>
      <header className="bg-board text-board-ink">
        <div className="flex min-h-14 flex-wrap items-center gap-x-2 px-2 sm:px-4">
          <Link
            href="/"
            className="inline-flex min-h-11 items-center font-display text-[1.35rem] font-bold leading-none sm:mr-2 sm:text-[1.6rem] lg:mr-6"
          >
            Ruchka
          </Link>
          {farmName ? (
            <nav aria-label="Places" className="hidden flex-wrap gap-x-1 md:flex">
              {places.map(({ href, label }) => (
                <Link
                  key={href}
                  href={href}
                  aria-current={isHere(href, path) ? "page" : undefined}
                  className={clsx(
                    "grid min-h-14 place-items-center border-b-4 px-2.5 pt-1 text-[1.02rem] lg:px-4",
                    isHere(href, path) ? "border-marigold font-bold" : "border-transparent hover:border-board-ink/40",
                  )}
                >
                  {label}
                </Link>
              ))}
            </nav>
          ) : null}
          <div className="ml-auto flex items-center sm:gap-1">
            {farmName ? (
              <Link
                href="/farm"
                aria-current={path.startsWith("/farm") ? "page" : undefined}
                className="mr-1 hidden min-h-11 items-center rounded-[5px] px-2 text-[0.95rem] hover:bg-board-ink/15 lg:inline-flex"
              >
                {farmName}
              </Link>
            ) : null}
            {farmName ? <Find units={units} own={measures} /> : null}
            <Screen onKeys={() => setKeysOpen(true)} />
            {person ? <Person person={person} /> : null}
          </div>
        </div>
      </header>
      {farmName ? <FootPlaces path={path} places={places} /> : null}
      {person?.isShared ? <AutoLock /> : null}
      {keysOpen ? <KeysSheet onClose={() => setKeysOpen(false)} /> : null}
    </>
  );
};
