/** Types of the data layer that screens and routes see through the services. */
export type { Actor, Farm } from "@/data/farm";
export type { Lot } from "@/data/stock";
export type { Plot, PlotStage, Tool } from "@/data/plots";
export type { Vessel, VesselKind } from "@/data/vessels";
export type { FarmMeasure } from "@/data/measures";
export type { StoreContainer } from "@/data/stores";
export type { Plan } from "@/data/plans";
export type { OwnIngredient } from "@/data/ownIngredients";
