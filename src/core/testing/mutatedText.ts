import { oneOf, type Random } from "./choices";

/** Pieces of drawings' own syntax, and what breaks it. */
const ODD_TEXT = [
  "",
  "\n",
  "\n\n",
  "999\ncomment\n",
  " 91\n7\n",
  "1e308",
  "NaN",
  "-",
  "<g>",
  "</g>",
  ">",
  '"',
  "  0\nEOF\n",
  "  0\nSECTION\n",
];

/** A copy of a text with one to four stretches taken out, doubled, moved or made odd; as chance has it. */
export function mutatedText(text: string, random: Random): string {
  let now = text;
  const times = 1 + Math.floor(random() * 4);
  for (let i = 0; i < times; i++) {
    const at = Math.floor(random() * now.length);
    const long = Math.floor(random() ** 3 * 400);
    const kind = random();
    const [before, after] = [now.slice(0, at), now.slice(at)];
    if (kind < 0.3) now = before + after.slice(long);
    else if (kind < 0.6) now = before + oneOf(...ODD_TEXT)(random) + after;
    else if (kind < 0.75) now = before + after.slice(0, long) + after;
    else if (kind < 0.9) now = before.replace(/[^\n]*$/, "") + after.replace(/^[^\n]*\n/, "");
    else now = before + after.replace(/-?\d+(\.\d+)?/, () => oneOf("1e308", "-1e30", "0", "99999999", "NaN")(random));
  }
  return now;
}
