import type { Metadata, Viewport } from "next";
import { headers } from "next/headers";
import type { ReactNode } from "react";
import { Away } from "@/ui/frame/Away";
import { offersTakeIn } from "@/services/archive";
import { listZonePlaces, readMeasures } from "@/services/farm";
import { demoPeople } from "@/services/people";
import { offersMadeUpFarm } from "@/services/madeUpFarm";
import { Header } from "@/ui/frame/Header";
import { SET_SCREEN } from "@/ui/frame/screenSettings";
import { Toasts } from "@/ui/frame/Toasts";
import { MeasuresProvider } from "@/ui/measures/measuresContext";
import { FarmDoor } from "./FarmDoor";
import "./globals.css";
import { LockScreen, SetUpScreen, SignInScreen } from "./laterScreens";
import { openPage, type Opened } from "./openPage";
import { openStanding } from "./session";

export const metadata: Metadata = {
  title: { default: "Ruchka", template: "%s · Ruchka" },
  description: "Brews, beds and books of one farm",
};
export const viewport: Viewport = { width: "device-width", initialScale: 1 };
export const dynamic = "force-dynamic";

/** What stands on every address until there is a farm. */
async function NewFarm() {
  return (
    <SetUpScreen
      zones={await listZonePlaces()}
      canLookAround={offersMadeUpFarm((await headers()).get("host"))}
      canTakeIn={offersTakeIn()}
    />
  );
}

/** The page itself, or what stands in its place: nobody is in, or there is no farm yet. */
function Within({ page, children }: { readonly page: Opened<unknown>; readonly children: ReactNode }) {
  switch (page.type) {
    case "away":
      return <Away />;
    case "not-set-up":
      return <NewFarm />;
    case "signed-out": {
      const { farmName, isClaimed, people } = page;
      return (
        <SignInScreen
          farmName={farmName}
          isClaimed={isClaimed}
          people={people}
          tries={demoPeople()}
          takesPasskeys={page.takesPasskeys}
        />
      );
    }
    case "locked":
      return <LockScreen farmName={page.farmName} people={page.people} />;
    case "open":
      return children;
  }
}

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const page = await openPage(async (frame) => ({ ...frame, measures: await readMeasures(frame.ctx) }));
  const nonce = (await headers()).get("x-nonce") ?? "";
  const frame = page.type === "open" ? page.value : null;
  const standing = page.type === "open" ? await openStanding() : null;
  const person =
    frame && standing?.type === "open" ? { ...frame.ctx.actor, isShared: standing.found.session.isShared } : null;
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: SET_SCREEN }} />
      </head>
      <body className="min-h-dvh max-md:pb-20">
        <a
          href="#content"
          className="sr-only focus:not-sr-only focus:absolute focus:left-2 focus:top-2 focus:z-50 focus:bg-chalk focus:px-4 focus:py-3 focus:font-semibold focus:text-ink focus:underline"
        >
          Skip to the page
        </a>
        <FarmDoor units={frame?.farm.units ?? "metric"} person={person} readMs={frame?.ctx.now().getTime() ?? 0}>
          <MeasuresProvider own={frame?.measures ?? []} units={frame?.farm.units ?? "metric"}>
            <Header
              farmName={frame?.farm.name ?? null}
              units={frame?.farm.units ?? "metric"}
              measures={frame?.measures ?? []}
              person={person}
            />
            <main id="content" tabIndex={-1} className="outline-none">
              <Within page={page}>{children}</Within>
            </main>
            <Toasts />
          </MeasuresProvider>
        </FarmDoor>
      </body>
    </html>
  );
}
