import type { EquipmentKind } from "@/core/equipment/needs";

/** Each piece of equipment as its outline is painted on a workshop wall. */
const OUTLINES: Readonly<Record<EquipmentKind, string>> = {
  "pump": "M10 22h28v18h-28zM16 22v-6h16v6M38 28h8M38 34h8M14 40v4M34 40v4",
  "stone": "M24 10v14M14 24h20v18h-20zM18 30h1M24 34h1M29 29h1M20 38h1M28 38h1",
  "tubing": "M12 40c0 -40 24 -36 24 -12s-18 20 -18 4s12 -16 12 0",
  "heater": "M24 6v8M20 14h8v26q-4 6 -8 0zM20 22h8M20 30h8",
  "ph-meter": "M18 6h12v20h-12zM21 10h6v6h-6zM22 26v14l2 4l2 -4v-14",
  "thermometer": "M22 8q2 -3 4 0v24a6 6 0 1 1 -4 0zM24 18v16",
  "scales": "M10 40h28M24 40v-24M12 18h24M12 18l-5 12h10zM36 18l-5 12h10z",
  "bag": "M14 16q10 8 20 0l5 24q-15 8 -30 0zM16 10q8 6 16 0l2 6M14 16l2 -6M20 26v8M26 26v8",
  "sieve": "M8 18h32q0 18 -16 18t-16 -18zM40 18h6M14 22l18 10M20 20l16 8",
  "airlock": "M22 44v-20q-8 0 -8 -8t8 -8h4M26 44v-16q10 0 10 -12M18 18h10",
  "cloth": "M8 14q16 8 32 0l2 22q-18 10 -36 0zM12 18l4 18M24 20v20M36 18l-4 18",
  "stirrer": "M24 6v24M18 30h12v14h-12zM18 37h12",
};

export const EquipmentOutline = ({ kind, faint }: { readonly kind: EquipmentKind; readonly faint: boolean }) => (
  <svg aria-hidden viewBox="0 0 50 50" className="size-14 shrink-0">
    <circle cx={24} cy={4} r={2.4} fill="var(--ink)" />
    <path
      d={OUTLINES[kind]}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={2.2}
      strokeLinejoin="round"
      strokeLinecap="round"
      opacity={faint ? 0.35 : 1}
    />
  </svg>
);
