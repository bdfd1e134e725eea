import { readFileSync } from "node:fs";
import { notices } from "./packages";

test("every package the program is served with is named with its licence, the fonts with its text", () => {
  const all = notices();
  const named = new Set(all.map((n) => n.name));
  const { dependencies } = JSON.parse(readFileSync("package.json", "utf8")) as { dependencies: Record<string, string> };
  expect(Object.keys(dependencies).filter((name) => !named.has(name))).toEqual([]);
  expect(all.filter((n) => n.licence === "" && n.text === null).map((n) => n.name)).toEqual([]);
  for (const font of ["@fontsource-variable/encode-sans", "@fontsource-variable/bricolage-grotesque"])
    expect(all.find((n) => n.name === font)?.text).toMatch(/SIL OPEN FONT LICENSE/i);
});
