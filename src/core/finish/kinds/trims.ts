import { along, panelById, partOf, refsLength, ringPanel, type Join, type Panel, type AlsoCut } from "../../pattern";
import { choice, number, statedLength } from "../../params";
import { count, quantity, ratio, say, type Mm } from "../../units";
import { defineFinish } from "../define";
import { foldedStrip, inOneSeam, unsettled, withParts } from "../garment";
import { CONTRAST } from "./shared";

/** A panel cut once more, from lining. */
const lining = (panel: Panel, hem: "bagged" | "apart"): AlsoCut => ({
  material: "lining",
  count: panel.cutting.pieces?.count ?? 2,
  note: hem === "bagged" ? "sewn to the hem" : "hemmed on its own",
});

export const flounceLining = defineFinish({
  room: "trim",
  kind: "flounce-lining",
  words: "lined flounce",
  about: "The flounce is lined, so that it stands.",
  params: {
    parts: number("Into how many parts each lining is cut, where its cloth is of another width; 0 is as the shell.", {
      label: "Cut in parts",
      least: 0,
      most: 8,
      step: 1,
      usual: 0,
      whole: true,
    }),
    hem: choice("How its hem is finished, whatever the lining of the legs does.", {
      label: "At its hem",
      options: [
        ["bagged", "bagged out with the flounce"],
        ["apart", "hemmed on its own"],
      ],
    }),
  },
  facts: {},
  make(garment, { parts, hem }) {
    const rings = garment.panels.filter((p) => p.worn?.ring);
    const [first] = rings;
    if (!first?.worn?.ring) return unsettled(garment, say`There is no flounce to line.`);
    if (parts === 0 || parts === rings.length)
      return {
        ...garment,
        panels: garment.panels.map((p) =>
          p.worn?.ring ? { ...p, cutting: { ...p.cutting, also: [...(p.cutting.also ?? []), lining(p, hem)] } } : p,
        ),
      };
    const { from, radius, depth, valley } = first.worn.ring;
    const turn = rings.reduce((sum, p) => sum + (p.worn?.ring?.turn ?? 0), 0) / parts;
    const points = rings.reduce((sum, p) => sum + (p.worn?.ring?.points ?? 0), 0) / parts;
    if (turn > 0.56 * 2 * Math.PI)
      return unsettled(garment, say`So much of a circle takes more than ${count(parts)} parts of lining.`);
    const drawn = Array.from({ length: parts }, (_, i): Panel => {
      const panel = ringPanel({
        id: `flounce-lining-${i + 1}`,
        name: say`Flounce lining ${count(i + 1)}`,
        is: partOf("flounce", { madeFor: first.id }),
        radius,
        depth,
        turn,
        from,
        points,
        before: i * points,
        valley,
        top: "flounce seam",
      });
      return { ...panel, cutting: { material: "lining" } };
    });
    const joins = drawn.map((panel, i): Join => ({
      id: `flounce-lining-join-${i + 1}`,
      label: "Flounce lining, join",
      kind: "cut",
      by: "flounce-lining",
      how: "equal",
      leg: "both",
      a: [along(panel.id, "end")],
      b: [{ panel: (drawn[(i + 1) % parts] as Panel).id, edge: "start", reversed: true }],
    }));
    const sewn: Join = {
      id: "flounce-lining",
      label: "Flounce and its lining",
      kind: "cut",
      by: "flounce-lining",
      how: "equal",
      leg: "both",
      a: rings.flatMap((p) => [
        along(p.id, "top"),
        ...(p.worn?.ring?.isHalf ? [{ panel: p.id, edge: "top", reversed: true }] : []),
      ]),
      b: drawn.map((p) => along(p.id, "top")),
    };
    return withParts(garment, { panels: drawn, joins: [...joins, sewn] });
  },
});

export const pleatedStrip = defineFinish({
  room: "trim",
  kind: "pleated-strip",
  words: "pleated strip in the sides",
  about: "A folded strip, pleated into each side seam.",
  params: {
    width: statedLength("How wide the strip shows beyond the seam.", {
      label: "Shows",
      usual: { mm: { cm: 30, in: 31.75 } },
      within: [10, 120],
    }),
    sewnAt: statedLength("How far inside its folded edge the strip is sewn; the seam itself may be wider.", {
      label: "Sewn at, from its edge",
      usual: { mm: { cm: 13, in: 12.7 } },
      within: [5, 30],
    }),
    fullness: number("Length of the strip against the seam's.", {
      label: "Times the seam",
      least: 1,
      most: 4,
      step: 0.25,
      usual: 2,
    }),
    contrast: CONTRAST,
  },
  facts: {},
  make(garment, trim, { cloth }) {
    const side = garment.joins.find((j) => j.kind === "side");
    if (!side) return unsettled(garment, say`There is no side seam to set a pleated strip into.`);
    // A band that was cut off the panels is sewn on over the strip's end.
    const below = side.a.filter((ref) => panelById(garment.panels, ref.panel).is.part !== "contour-band");
    const sewn = refsLength(garment.panels, below);
    const long = sewn * trim.fullness;
    // Cut across the cloth, a long strip is joined from as many lengths as it takes.
    const lengths = cloth.width === null ? 1 : Math.ceil(long / Math.max(100, cloth.width - 4 * END));
    const strip = foldedStrip(
      {
        id: "trim",
        name: lengths === 1 ? "Pleated strip" : say`Pleated strip, ${count(lengths)} lengths joined a side`,
        part: "trim",
      },
      [{ id: "sewn", name: "pleated edge", length: long / lengths, role: "style" }],
      trim.width.mm,
    );
    const longEdges = new Set(["sewn", "inner"]);
    const panel: Panel = {
      ...strip,
      edges: inOneSeam(strip).edges.map((e) => ({ ...e, beyond: longEdges.has(e.id) ? trim.sewnAt.mm : END })),
      cutting: {
        material: trim.contrast ? "contrast" : "shell",
        pieces: { count: 2 * lengths, onFold: false },
        sewn: { all: "side" },
      },
    };
    const join: Join = {
      id: "trim",
      label: "Pleated strip in the side seam",
      kind: "cut",
      by: "pleated-strip",
      how: "pleated",
      leg: side.leg,
      a: below,
      b: Array.from({ length: lengths }, () => along("trim", "sewn")),
    };
    const made = withParts(garment, { panels: [panel], joins: [join] });
    return withParts(made, {
      notions: [
        {
          id: "trim-fold",
          of: "trim",
          label: say`Pleated strip: cut ${2 * (trim.width.mm + trim.sewnAt.mm)}, folded ${trim.width.mm + trim.sewnAt.mm}, shows ${trim.width.mm}`,
          count: 2,
          length: quantity(long, say`${ratio(trim.fullness)} x side seam ${sewn}, without its ends`),
        },
      ],
    });
  },
});

/** What the ends of a strip are turned in by. */
const END: Mm = 10;
