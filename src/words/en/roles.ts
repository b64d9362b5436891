import type { Role } from "@/core/people/roles";

/** What people are on a farm. */
export const ROLE_WORDS: Readonly<Record<Role, string>> = {
  viewer: "viewer",
  helper: "helper",
  grower: "grower",
  steward: "steward",
};

/** What each may, in a line. */
export const ROLE_MEANS: Readonly<Record<Role, string>> = {
  viewer: "Looks at everything but the costs page and the settings, and writes nothing.",
  helper: "Fills, logs, checks, gathers, applies; corrects what they wrote themselves.",
  grower:
    "Does what a helper does, strains or throws away, plans, changes recipes, beds and vessels, and corrects what others wrote.",
  steward: "May do everything: people and what they may do, farm settings, days before harvest and sensors, too.",
};
