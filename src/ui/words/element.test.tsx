import { speak } from "@/core/words";
import type { Catalog } from "@/locale/catalog";
import { localeOf } from "@/locale/speak";
import { renderToStaticMarkup } from "react-dom/server";
import { saidOption } from "./chart";

const TURNED: Catalog = {
  tag: "xx",
  decimalMark: ",",
  keepsCapitals: true,
  messages: { "Saved {1} times in {2}": "In {2} {1} Mal", Search: "Suchen", "Kept here": "Hier", Cupboard: "Schrank" },
};

beforeEach(() => speak(localeOf(TURNED)));
afterEach(() => speak(null));

test("text with elements in it comes in the order of the tongue", () => {
  const times = 3;
  const place = "Cupboard";
  const said = renderToStaticMarkup(
    <p>
      Saved <b>{times}</b> times in {place}
    </p>,
  );
  expect(said).toBe("<p>In Schrank <b>3</b> Mal</p>");
});

test("labels and hints are said too, the maker's own words stay", () => {
  expect(renderToStaticMarkup(<input aria-label="Search" placeholder="Kept here" id="Search" />)).toBe(
    '<input aria-label="Suchen" placeholder="Hier" id="Search"/>',
  );
  expect(renderToStaticMarkup(<p translate="no">Search</p>)).toBe('<p translate="no">Search</p>');
});

test("every text of a chart is said, its numbers and functions stay", () => {
  const format = (n: number) => `${n}`;
  const option = { xAxis: { name: "Search", data: [1, "Kept here"], axisLabel: { formatter: format } } };
  expect(saidOption(option)).toEqual({
    xAxis: { name: "Suchen", data: [1, "Hier"], axisLabel: { formatter: format } },
  });
});

test("in English nothing is touched", () => {
  speak(null);
  const option = { name: "Search" };
  expect(saidOption(option)).toBe(option);
  expect(renderToStaticMarkup(<p>Search</p>)).toBe("<p>Search</p>");
});
