import { readFileSync } from "node:fs";
import english from "./en.json";
import { GERMAN } from "./de";
import { collectedWords, sourceFiles, wordsOf } from "./collected";

const places = (text: string): readonly string[] => (text.match(/\{\w+\}/g) ?? []).toSorted();

test("the list of English holds all that the program says, and nothing else", () => {
  expect(english).toEqual(collectedWords(process.cwd()));
});

test("German is complete, and holds nothing that is said no longer", () => {
  expect(Object.keys(GERMAN.messages).toSorted()).toEqual(english.toSorted());
  for (const [text, said] of Object.entries(GERMAN.messages)) {
    expect(said.trim()).not.toBe("");
    expect([text, ...places(said)]).toEqual([text, ...places(text)]);
  }
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
