"use client";
import { useRouter } from "next/navigation";
import type { ComponentProps } from "react";
import type { FillSheet as Fill } from "@/ui/fill/FillSheet";
import { panel, part } from "@/ui/kit/later";

// What stands where a page is for once only: a grower with a farm does not carry it along every day. Its fields are there once they work: what is typed
// into a form that is only drawn is lost as it comes to life.
export const FirstDrumScreen = part("Your first drum", () =>
  import("@/ui/first/FirstDrumScreen").then((module) => module.FirstDrumScreen),
);
export const SetUpScreen = part("Set up your farm", () =>
  import("@/ui/setup/SetUpScreen").then((module) => module.SetUpScreen),
);

export const SignInScreen = part("Sign in", () =>
  import("@/ui/people/SignInScreen").then((module) => module.SignInScreen),
);
export const LockScreen = part("Open this phone", () =>
  import("@/ui/people/LockScreen").then((module) => module.LockScreen),
);

type FillProps = ComponentProps<typeof Fill>;
const FillPanel = panel<FillProps & { readonly onClose: () => void }>(() =>
  import("@/ui/fill/FillSheet").then((module) => module.FillSheet),
);

/** The sheet of a fill, over the yard. */
export const FillSheet = (props: FillProps) => {
  const router = useRouter();
  return <FillPanel {...props} onClose={() => router.push("/", { scroll: false })} />;
};
