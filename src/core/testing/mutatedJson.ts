import { oneOf, type Random } from "./choices";

type Json = unknown;
type Holder = Record<string | number, Json>;

/** What no field expects. */
const ODD: readonly Json[] = [
  null,
  true,
  "",
  "x".repeat(5000),
  "1e999",
  "12 13/0",
  "-3 cm",
  "__proto__",
  -1,
  0,
  1e308,
  2.5,
  [],
  [[[[[]]]]],
  {},
  { __proto__x: 1 },
  { constructor: { prototype: { polluted: true } } },
];

/** Every place in a value: what holds it, and by which key. */
function placesIn(
  value: Json,
  found: (readonly [Holder, string | number])[] = [],
): readonly (readonly [Holder, string | number])[] {
  if (typeof value !== "object" || value === null) return found;
  for (const key of Array.isArray(value) ? value.keys() : Object.keys(value)) {
    found.push([value as Holder, key]);
    placesIn((value as Holder)[key], found);
  }
  return found;
}

/** A copy of a value with one to four of its places taken out, doubled, scaled or made odd; as chance has it. */
export function mutatedJson(value: Json, random: Random): Json {
  const now = structuredClone(value);
  for (let times = 1 + Math.floor(random() * 4); times > 0; times--) {
    const places = placesIn(now);
    if (places.length === 0) return now;
    const [holder, key] = oneOf(...places)(random);
    const held = holder[key];
    const kind = random();
    if (kind < 0.2) delete holder[key];
    else if (kind < 0.4 && typeof held === "number")
      holder[key] = held * (random() < 0.5 ? -1 : 10 ** Math.floor(6 * random()));
    else if (kind < 0.5) holder[`${key}${oneOf("", "x", " ", "0")(random)}`] = structuredClone(held);
    else if (kind < 0.6) holder[key] = structuredClone(oneOf(...places)(random)[0]);
    else holder[key] = structuredClone(oneOf(...ODD)(random));
  }
  return now;
}
