"use client";
import { useRouter } from "next/navigation";
import { lazy, type ComponentProps } from "react";
import type { FillSheet as Fill } from "@/ui/fill/FillSheet";
import { panel } from "@/ui/kit/later";

// What stands where a page is for once only: a grower with a farm does not carry it along every day.
export const FirstDrumScreen = lazy(async () => ({
  default: (await import("@/ui/first/FirstDrumScreen")).FirstDrumScreen,
}));
export const SetUpScreen = lazy(async () => ({ default: (await import("@/ui/setup/SetUpScreen")).SetUpScreen }));

type FillProps = ComponentProps<typeof Fill>;
const FillPanel = panel<FillProps & { readonly onClose: () => void }>(() =>
  import("@/ui/fill/FillSheet").then((module) => module.FillSheet),
);

/** The sheet of a fill, over the yard. */
export const FillSheet = (props: FillProps) => {
  const router = useRouter();
  return <FillPanel {...props} onClose={() => router.push("/", { scroll: false })} />;
};
