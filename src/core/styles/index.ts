import { bellFlounce } from "./bellFlounce";
import { cigarette } from "./cigarette";
import { culotte } from "./culotte";
import { flare } from "./flare";
import { frontSlit } from "./frontSlit";
import { jogger } from "./jogger";
import { palazzo } from "./palazzo";
import { paperBag } from "./paperBag";
import { pleated } from "./pleated";
import { sideFullness } from "./sideFullness";
import { straight } from "./straight";
import { registry } from "../registry";
import type { Style } from "./style";
import { sweat } from "./sweat";
import { yokeFlare } from "./yokeFlare";

export type { MoveEntry, Style } from "./style";

/** Every style there is, by id. */
export const STYLES = registry<Style>([
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
]);
