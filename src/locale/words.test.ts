import { readFileSync } from "node:fs";
import { GERMAN } from "./de";
import { sourceFiles, wordsOf } from "./collected";
import { localeOf } from "./speak";

const places = (text: string): readonly string[] => (text.match(/\{\w+\}/g) ?? []).toSorted();

test("what German says for a text has the places of the text, each once", () => {
  expect(Object.keys(GERMAN.messages).length).toBeGreaterThan(3000);
  for (const [text, said] of Object.entries(GERMAN.messages)) {
    expect(said.trim()).not.toBe("");
    expect([text, ...places(said)]).toEqual([text, ...places(text)]);
  }
});

test("a text without German words is told in English, and is on the list of what is missing", () => {
  const locale = localeOf({ ...GERMAN, messages: { Hem: "Saum" } });
  expect([locale.message("Hem"), locale.message("Knee: {1}, one leg. Both"), locale.message("constructor")]).toEqual([
    "Saum",
    undefined,
    undefined,
  ]);
});

test("what was said in German once is not taken for English and said again", () => {
  const again = Object.values(GERMAN.messages).filter((said) => (GERMAN.messages[said] ?? said) !== said);
  expect(again).toEqual([]);
});

test("sentences end as they do in English, so that none is cut short", () => {
  const ends = (text: string): string => /[.?!:;,]$/.exec(text)?.[0] ?? "";
  const differ = Object.entries(GERMAN.messages).filter(
    ([text, said]) => ends(text) === "." && ends(said) !== "." && ends(said) !== "?",
  );
  expect(differ).toEqual([]);
});

test("text of elements, attributes, templates and options is found; what is for the program is not", () => {
  const source = `
    const kinds = [["left", "to the left"], ["x", "slanted"]];
    const a = <p title="A hint" className="big red">Saved <b>{n}</b> times{many ? "today" : ""}</p>;
    const b = say\`Cut \${isLong ? "longer" : "shorter"} by \${by}.\`;
    if (kind === "some kind") throw new RangeError("no such kind here");
    const c = { id: "not this one", label: "small", stroke: "red line" };`;
  expect([...new Set(wordsOf("a.tsx", source))].toSorted()).toEqual(
    [
      "A hint",
      "Cut {1} by {2}.",
      "Saved {1} times{2}",
      "longer",
      "shorter",
      "slanted",
      "small",
      "to the left",
      "today",
    ].toSorted(),
  );
});

test("no path of ids is put into words: it stays what it is in every tongue", () => {
  const pathInWords = /phrase`\S*\$\{[\w.]*\}\S*\.\S*`/;
  expect(pathInWords.test("phrase`${piece.id}.${edge.id}`")).toBe(true);
  expect(sourceFiles(process.cwd()).filter((path) => pathInWords.test(readFileSync(path, "utf8")))).toEqual([]);
});
