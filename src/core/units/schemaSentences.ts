import { phrase } from "../words";
import { z } from "zod";
import type { Complaint } from "./refusal";
import { asSentence } from "./told";

/** What a kind of value is called where another was given. */
const KINDS: Readonly<Record<string, string>> = {
  string: "text",
  number: "a number",
  int: "a whole number",
  boolean: "true or false",
  array: "a list",
  tuple: "a list",
  object: "a group of fields",
  record: "a group of fields",
};

/** What a size counts, by what it is the size of. */
const COUNTED: Readonly<Record<string, string>> = { string: " characters", array: " entries" };

const shortly = (text: unknown): string => String(text).slice(0, 30);

/** What stands in the way of a value, in Eland's own words; the library's never reach a maker. */
function sentenceOf(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case "invalid_type":
      return issue.input === undefined
        ? "This is missing."
        : phrase`This must be ${KINDS[issue.expected as string] ?? "of another kind"}.`;
    case "unrecognized_keys":
      return phrase`Unknown here: ${(issue.keys as readonly string[]).slice(0, 5).map(shortly).join(", ")}.`;
    case "invalid_value": {
      const values = issue.values as readonly unknown[];
      return values.length === 1
        ? phrase`This must be ${shortly(values[0])}.`
        : phrase`Choose one of: ${values.join(", ")}.`;
    }
    case "too_big":
      return phrase`This is at most ${Number(issue.maximum)}${COUNTED[issue.origin as string] ?? ""}.`;
    case "too_small":
      return phrase`This is at least ${Number(issue.minimum)}${COUNTED[issue.origin as string] ?? ""}.`;
    case "invalid_format":
      return issue.format === "date" ? "Write a date as 2026-03-21." : "This is not written as it has to be.";
    default:
      return "This cannot be read here.";
  }
}

z.config({ localeError: sentenceOf });

/** How many complaints about one value are told. */
const MOST = 20;

/** A schema's complaints about a value, each with its place under `at`; of many the first. */
export function complaintsOfSchema(error: z.ZodError, at: readonly (string | number)[] = []): Complaint[] {
  return error.issues.slice(0, MOST).map((issue) => {
    const inner = innermost(issue);
    return { path: [...at, ...inner.path].join("."), says: asSentence(inner.message) };
  });
}

/** Of a choice between groups of fields, what is wrong inside the one that was meant: the one read furthest. */
function innermost(issue: z.core.$ZodIssue): { readonly path: readonly PropertyKey[]; readonly message: string } {
  if (issue.code !== "invalid_union") return issue;
  const inside = issue.errors.flatMap((errors) => errors.slice(0, 1)).map(innermost);
  const deepest = inside.reduce<(typeof inside)[number] | null>(
    (best, one) => (one.path.length > (best?.path.length ?? 0) ? one : best),
    null,
  );
  return deepest ? { path: [...issue.path, ...deepest.path], message: deepest.message } : issue;
}
