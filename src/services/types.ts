/** Types of the data layer that screens and routes see through the services. */
export type { Actor, Farm, FarmMeasure } from "@/data/farm";
export type { LandMark, PlantingRow, Plot, Tool } from "@/data/field";
export type { PlotStage } from "@/core/land/planting";
export type { Lot, OwnIngredient, Plan } from "@/data/shed";
export type { StoreContainer } from "@/data/stores";
export type { TakenBackKind } from "@/data/takenBack";
export type { ThingFacts, ThingKind, ThingState } from "@/data/things";
export type { Vessel, VesselKind } from "@/data/vessels";
