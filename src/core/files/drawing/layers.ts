/** Layers by the apparel industry's open standard for pattern data (ASTM D6673). */
export const DXF_LAYERS = {
  boundary: "1",
  turns: "2",
  curves: "3",
  notches: "4",
  mirror: "6",
  grain: "7",
  internal: "8",
  drills: "13",
  sew: "14",
  words: "15",
} as const;
