import { z } from "zod";
import { lengthInputSchema, autoLengthSchema } from "../units";

const undecided = z.literal("undecided");
const length = (words: string) => lengthInputSchema.optional().describe(words);
const autoLength = (words: string) => autoLengthSchema.optional().describe(words);

const elastic = z
  .union([z.enum(["none", "waist", "waist-less", "hip-less"]), lengthInputSchema])
  .optional()
  .describe("Elastic: as long as the waist, a tenth less, the hip less 25.4 cm, a length of its own, or none.");
const drawstring = z.boolean().optional().describe("A cord runs in the channel, out through two eyelets in front.");
const contrast = z.boolean().optional().describe("Cut from a second cloth.");

const waistSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("straight-band"),
    depth: length("Finished depth of the band."),
    sits: z
      .enum(["above", "on", "outside"])
      .optional()
      .describe(
        "above: it stands over the waist line; on: its depth is taken off the panels; outside: turned over them.",
      ),
    overlap: length("Underlap of the band beyond the opening."),
    fit: z
      .enum(["edge", "waist"])
      .optional()
      .describe("edge: as long as the sewn edge; waist: as long as the body's waist, the edge gathered into it."),
    contrast,
  }),
  z.strictObject({
    kind: z.literal("contour-band").describe("Cut from the top of the panels, its darts closed, faced with itself."),
    depth: length("Finished depth of the band."),
    sits: z
      .enum(["cut", "above"])
      .optional()
      .describe("cut: taken from the panels as they are; above: the panels are drawn that much higher first."),
    contrast,
  }),
  z.strictObject({
    kind: z.literal("facing").describe("No band: the waist is turned by a shaped facing, its darts closed."),
    depth: length("Depth of the facing."),
  }),
  z.strictObject({
    kind: z.literal("cut-on-casing").describe("The waist is finished by the casing cut on to the panels."),
    elastic,
    drawstring,
  }),
  z.strictObject({
    kind: z.literal("casing").describe("A separate folded strip that holds the elastic."),
    depth: length("Finished depth of the casing."),
    sits: z.enum(["above", "on"]).optional().describe("on: its depth is taken off the panels."),
    elastic,
    drawstring,
  }),
  z.strictObject({
    kind: z.literal("ring-band").describe("A ring folded from one strip: a frill that stands above a channel."),
    frill: length("How far the frill stands above the channel."),
    channel: length("Depth of the channel."),
    fit: z
      .enum(["edge", "waist"])
      .optional()
      .describe("edge: as long as the sewn edge; waist: cut to the body's waist."),
    elastic,
    drawstring,
  }),
]);

const fasteningSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.enum(["zip-centre-back", "zip-side"]).describe("Down the centre back, or down the left side seam."),
    length: autoLength("Length of the zip below the sewn waist."),
  }),
  z.strictObject({
    kind: z.literal("fly").describe("A zip in the centre front, covered, with a shield under it."),
    length: autoLength("Length of the zip below the sewn waist."),
    extension: length("Width of the fly beyond the centre front."),
    grown: z.enum(["on", "separate"]).optional().describe("on: cut with the fronts; separate: a facing sewn to them."),
  }),
  z.strictObject({
    kind: z.literal("mock-fly").describe("It looks like a fly and does not open; the garment is pulled on."),
    extension: length("Width of the fly beyond the centre front."),
  }),
  z.strictObject({
    kind: z.literal("front-placket").describe("It opens at the placket cut on to a front, under the band."),
  }),
  z.strictObject({ kind: z.literal("none").describe("It is pulled on.") }),
]);

const pocketSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("slant").describe("Opens from the waist to the side seam; facing, hip piece and bag."),
    across: autoLength("From the side seam to the opening, along the waist."),
    down: length("From the waist to the opening's end, down the side seam."),
    width: length("Width of the bag."),
    below: length("Depth of the bag below the opening."),
    edge: z.enum(["straight", "curved", "scalloped"]).optional().describe("Shape of the opening."),
    contrast: contrast.describe("The hip piece that shows is cut from a second cloth."),
  }),
  z.strictObject({
    kind: z.literal("in-seam").describe("Opens in the side seam; the bag is caught in the waist."),
    from: length("From the waist down to the opening."),
    opening: length("Length of the opening."),
    width: length("Width of the bag."),
    below: length("Depth of the bag below the opening."),
  }),
  z.strictObject({
    kind: z.literal("patch").describe("Sewn on to the front over the closed dart, from the dart line to the side."),
    opening: length("Length of the slanting opening; the hand goes in there."),
    depth: autoLength("From the waist to its lower edge; to the hip line unless chosen."),
    contrast,
  }),
]);

const hemSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z
      .enum(["turned", "bonded"])
      .describe("turned: up once, mirrored to lie flat; bonded: the same, held by a web."),
    depth: autoLength("Depth of the turn-up."),
  }),
  z.strictObject({
    kind: z.enum(["double", "rolled"]).describe("Turned twice; rolled is narrow, for wide and circular hems."),
    depth: length("Depth of each turn."),
  }),
  z.strictObject({
    kind: z.literal("faced").describe("A shaped strip turns the hem."),
    depth: length("Depth of the facing."),
  }),
  z.strictObject({
    kind: z.literal("cuff").describe("The hem is gathered into a cuff, whose depth comes off the length."),
    depth: length("Finished depth of the cuff."),
    girth: autoLength("Finished girth, relaxed; auto holds the ankle and lets the heel pass."),
    elastic: z
      .boolean()
      .optional()
      .describe("Elastic runs in the cuff, where it is cut from cloth that does not stretch."),
  }),
]);

const beltSchema = z.strictObject({
  width: length("Finished width of the belt."),
  length: autoLength("Length of the belt; the waist and 30 cm unless chosen."),
  loops: z.number().int().min(0).max(12).optional().describe("How many loops hold it."),
  loopWidth: length("Finished width of a loop."),
});

const trimSchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("pleated-strip").describe("A folded strip, pleated into each side seam."),
    width: length("Finished width of the strip."),
    fullness: z.number().min(1).max(4).optional().describe("Length of the strip against the seam's."),
    contrast,
  }),
  z.strictObject({ kind: z.literal("flounce-lining").describe("The flounce is lined, so that it stands.") }),
]);

/**
 * How the garment is finished. Waist, fastening, pockets and hem may be `"undecided"`: it is then listed and printed,
 * never invented. Absent entries keep the style's own.
 */
export const finishSchema = z.strictObject({
  waist: z.union([undecided, waistSchema]).describe("The waist edge.").optional(),
  fastening: z.union([undecided, fasteningSchema]).describe("How the garment opens.").optional(),
  pockets: z
    .union([undecided, z.array(pocketSchema).max(4)])
    .describe("Pockets; an empty list is none.")
    .optional(),
  hem: z.union([undecided, hemSchema]).describe("The hem.").optional(),
  inside: z
    .enum(["undecided", "overlocked", "bound", "lined", "raw"])
    .describe("How the inner edges are kept from fraying.")
    .optional(),
  belt: z
    .union([z.literal("none"), beltSchema])
    .describe("A belt in loops.")
    .optional(),
  trims: z.array(trimSchema).max(4).describe("What is set into the seams.").optional(),
});
export type Finish = z.infer<typeof finishSchema>;

/** An allowance, or one that runs from one width at the edge's start to another at its end. */
const runningSchema = z.union([lengthInputSchema, z.strictObject({ from: lengthInputSchema, to: lengthInputSchema })]);

const width = (words: string) => lengthInputSchema.optional().describe(words);

/** Allowances by the kind of seam, then by single edge; absent entries keep the set's own. */
export const allowancesSchema = z.strictObject({
  set: z
    .enum(["woven", "stretch", "overlocked", "let-out", "children"])
    .optional()
    .describe("The set the numbers start from."),
  side: width("Side seams."),
  inseam: width("Inseams."),
  crotch: width("Crotch seam."),
  zip: width("Along the zip; it narrows to the crotch's below."),
  waist: width("The waist, and what is sewn to it."),
  band: width("All round a band, casing or cuff."),
  style: width("Seams that a cut has made."),
  pocket: width("Pocket openings and bags."),
  shoulder: width("Shoulder seams."),
  neck: width("Neckline."),
  armhole: width("Armholes."),
  corners: z
    .enum(["mitred", "squared"])
    .optional()
    .describe("mitred: cut lines run on until they meet; squared: cut off square to the seam, so that it opens flat."),
  edges: z
    .record(z.string().max(80), runningSchema)
    .optional()
    .describe('Single edges by "panel.edge", or "panel.edge" with a width at each end.'),
});
export type Allowances = z.infer<typeof allowancesSchema>;
