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
