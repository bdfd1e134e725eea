import { bellFlounce } from "./bellFlounce";
import { cigarette } from "./cigarette";
import { cowlTop } from "./cowlTop";
import { culotte } from "./culotte";
import { flare } from "./flare";
import { frontSlit } from "./frontSlit";
import { jogger } from "./jogger";
import { onePiece } from "./onePiece";
import { palazzo } from "./palazzo";
import { paperBag } from "./paperBag";
import { pleated } from "./pleated";
import { sideFullness } from "./sideFullness";
import { straight } from "./straight";
import { registry } from "../registry";
import type { Tape } from "../units";
import type { Style, StyleOnTapes } from "./style";
import { sweat } from "./sweat";
import { yokeFlare } from "./yokeFlare";

export { autosOf, movesOf, type MoveEntry, type Style } from "./style";

const ALL: readonly StyleOnTapes[] = [
  straight,
  cigarette,
  palazzo,
  flare,
  bellFlounce,
  sideFullness,
  paperBag,
  pleated,
  jogger,
  sweat,
  frontSlit,
  yokeFlare,
  culotte,
  onePiece,
  cowlTop,
];

/** Every style there is, by id; its own lengths are those of metric work. */
export const STYLES = registry<Style>(ALL.map((style) => style.cm));

const IN_INCHES = registry<Style>(ALL.map((style) => style.in));

/** A style with its own lengths as a maker on this tape would say them; undefined where there is none of that id. */
export const styleOn = (id: string, tape: Tape): Style | undefined => (tape === "in" ? IN_INCHES : STYLES)[id];
