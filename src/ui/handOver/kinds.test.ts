import { handOverSchema } from "@/core/derive/handOver";
import { hasPages, hasPieces, KIND_WORDS, KINDS, layerNote, makes } from "./kinds";
import { sizeFormat } from "./SizeFields";

const how = (words: Record<string, string>) => handOverSchema.parse(words);

test("the button says what it makes", () => {
  expect(makes("paper", how({ paper: "a3" }), "cm")).toBe("PDF on A3");
  expect(makes("paper", how({ paper: "roll-914.4" }), "in")).toBe("PDF on a roll of 36 in");
  expect(makes("projector", how({ paper: "projector" }), "cm")).toBe("PDF for a projector");
  expect(makes("drawing", how({ format: "dxf" }), "cm")).toBe("DXF");
  expect(makes("drawing", how({ format: "svg" }), "cm")).toBe("SVG");
  expect(KINDS.map((kind) => makes(kind, how({}), "cm")).filter(Boolean)).toHaveLength(KINDS.length);
});

test("pages are shown of what has pages, pieces chosen of what has pieces, and every kind says what it is", () => {
  expect(KINDS.filter(hasPages)).toEqual(["paper", "projector", "sizes"]);
  expect(KINDS.filter(hasPieces)).toEqual(["paper", "projector", "drawing"]);
  for (const kind of KINDS) expect(KIND_WORDS[kind].about).toMatch(/\.$/);
  for (const layer of ["1 cut line", "4 notches", "14 sew line"]) expect(layerNote("dxf")).toContain(layer);
});

test("a size set is written as it was chosen", () => {
  expect(sizeFormat("svg")).toEqual({ format: "svg" });
  expect(sizeFormat("2000")).toEqual({ format: "dxf", dxf: "2000" });
  expect(sizeFormat("each")).toEqual({ format: "pdf" });
});
