import { phrase } from "../words";
import { z } from "zod";
import { ADVICE } from "../advice";
import { MEASURES } from "../body";
import { OWN_SCHOOL, ownBlockSchema, rulesSchema, SCHOOLS } from "../drafting";
import { finishSchema } from "../finish";
import { CHECKS } from "../inspect";
import { MOVES } from "../moves";
import { STYLES } from "../styles";

interface CatalogEntry {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly params: unknown;
}

const schemaOf = (schema: z.ZodType): unknown => z.toJSONSchema(schema, { io: "input", unrepresentable: "any" });
const none = { type: "object", properties: {}, additionalProperties: false };
const words = (id: string): string =>
  id.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`).replace(/^./, (c) => c.toUpperCase());

function fieldsOf(schema: z.ZodObject): CatalogEntry[] {
  return Object.entries(schema.shape).map(([id, field]) => ({
    id,
    label: words(id),
    note: (field as z.ZodType).description ?? words(id),
    params: schemaOf(field as z.ZodType),
  }));
}

/** Everything that can be chosen, with the JSON Schema of its parameters: the reply of GET /api/catalog. */
export function catalog(): Record<string, CatalogEntry[]> {
  return {
    measures: MEASURES.map((m) => ({
      id: m.key,
      label: m.label,
      note: phrase`${m.how} Used for: ${m.use}.`,
      params: { kind: m.kind, required: m.required, usual: m.usual },
    })),
    schools: [
      ...Object.values(SCHOOLS).map(({ id, label, note }) => ({ id, label, note, params: schemaOf(rulesSchema) })),
      { ...OWN_SCHOOL, params: schemaOf(ownBlockSchema) },
    ],
    rules: fieldsOf(rulesSchema),
    styles: Object.values(STYLES).map(({ id, label, note, school, params }) => ({
      id,
      label,
      note,
      school,
      params: schemaOf(params),
    })),
    moves: Object.values(MOVES).map(({ id, label, note, schema }) => ({ id, label, note, params: schemaOf(schema) })),
    finishes: fieldsOf(finishSchema),
    checks: CHECKS.map(({ id, label, note }) => ({ id, label, note, params: none })),
    advice: ADVICE.map(({ id, label, note }) => ({ id, label, note, params: none })),
  };
}
