import { cigarette } from "./cigarette";
import { culotte } from "./culotte";
import { flare } from "./flare";
import { palazzo } from "./palazzo";
import { straight } from "./straight";
import { sweat } from "./sweat";
import type { Style } from "./style";

export type { MoveEntry, Style } from "./style";

/** Every style there is, by id. */
export const STYLES: Readonly<Record<string, Style>> = Object.fromEntries(
  [straight, cigarette, palazzo, flare, culotte, sweat].map((style) => [style.id, style]),
);
