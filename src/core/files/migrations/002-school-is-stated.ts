import { STYLES } from "../../styles";
import type { Migration } from ".";

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** What a job of the first form drew its block by where neither it nor its style named a school. */
const UNNAMED = "proportional";

const stated = (block: unknown, school: string): unknown =>
  block === undefined || isFields(block) ? { school, rules: {}, ...block } : block;

/**
 * A job states its school. The first form let it be left out and took the style's own, so that a style that changed its
 * school would have redrawn jobs that were cut already.
 */
export const schoolIsStated: Migration = {
  to: 2,
  name: "school-is-stated",
  migrate(job) {
    const { style, versions } = job;
    const ofStyle = isFields(style) && typeof style.id === "string" ? STYLES[style.id]?.school : undefined;
    return {
      ...job,
      block: stated(job.block, ofStyle ?? UNNAMED),
      ...(Array.isArray(versions) && {
        // Versions never took their style's.
        versions: versions.map((kept: unknown) =>
          isFields(kept) ? { ...kept, block: stated(kept.block, UNNAMED) } : kept,
        ),
      }),
    };
  },
};
