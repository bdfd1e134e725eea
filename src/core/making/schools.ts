import { z } from "zod";

/** How the legs are closed, by the schools of the trade. */
export const CLOSINGS = ["crotch-first", "legs-first", "sides-first"] as const;
/** When the zip is set in, and the hem sewn. */
export const ZIPS = ["before-sides", "after-band", "last"] as const;
export const HEMS = ["first", "before-band", "last"] as const;

/** In which of the orders that are allowed a maker works. */
export const schoolsSchema = z.strictObject({
  closing: z.enum(CLOSINGS).describe("Which seams close the legs first."),
  zip: z.enum(ZIPS).describe("When the zip is set in."),
  hem: z.enum(HEMS).describe("When the hem is sewn."),
});
export type Schools = z.infer<typeof schoolsSchema>;

export const USUAL_SCHOOLS: Schools = { closing: "crotch-first", zip: "after-band", hem: "last" };

/** Days of fitting that a plan holds. */
export const MOST_FITTINGS = 6;

/** When a garment is made: minutes there are on each day of the week, Sunday first, and when it is due. */
export const planSchema = z.strictObject({
  week: z.tuple([
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
    z.number().min(0).max(1440),
  ]),
  from: z.iso.date().optional(),
  due: z.iso.date().optional(),
  /** Days on which it is tried on. */
  fittings: z.array(z.iso.date()).max(MOST_FITTINGS).optional(),
});
export type Week = z.infer<typeof planSchema>["week"];
